/** What is recorded is kept before it is sent, sent in order, sent again, and only let go when the server has it. */
import type { QuadRecord } from '@junctor/core';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';

const stored = new Map<string, string>();
/** As browsers do it: the keys of the stored items are the object's own. */
const localStorageStub = new Proxy({} as Record<string, unknown>, {
  get: (_target, name) =>
    ({
      getItem: (key: string) => stored.get(key) ?? null,
      setItem: (key: string, value: string) => stored.set(key, value),
      removeItem: (key: string) => stored.delete(key),
    })[name as 'getItem'],
  ownKeys: () => [...stored.keys()],
  getOwnPropertyDescriptor: (_target, key) =>
    stored.has(key as string) ? { enumerable: true, configurable: true } : undefined,
});
const record = (id: string) => ({ id, seq: null, quadId: 'q' }) as unknown as QuadRecord;
const sentIds: string[][] = [];
let answers: (() => Response)[] = [];
const reply = (status: number, body: unknown) => () => new Response(JSON.stringify(body), { status });
const taken = reply(200, { records: [] });
const refused = reply(422, { code: 'x', message: 'not like that', path: null, context: null });
const away = () => {
  throw new TypeError('no network');
};

beforeEach(() => {
  vi.useFakeTimers();
  vi.resetModules();
  stored.clear();
  sentIds.length = 0;
  answers = [];
  vi.stubGlobal('localStorage', localStorageStub);
  vi.stubGlobal('window', { addEventListener: () => undefined });
  vi.stubGlobal('fetch', async (_url: string, init: { body: string }) => {
    sentIds.push((JSON.parse(init.body) as { records: { id: string }[] }).records.map(({ id }) => id));
    return (answers.shift() ?? taken)();
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const settle = () => vi.advanceTimersByTimeAsync(2000);

it('keeps a record before the answer, and lets it go after', async () => {
  const { enqueue } = await import('./outbox');
  enqueue('q', 'p', [record('a')]);
  expect(stored.size).toBe(1);
  await settle();
  expect([sentIds, stored.size]).toEqual([[['a']], 0]);
});

it('sends again in order until the server has it', async () => {
  answers = [away, reply(503, { code: 'server.starting', message: '', path: null, context: null })];
  const { enqueue } = await import('./outbox');
  enqueue('q', 'p', [record('a'), record('b')]);
  enqueue('q', 'p', [record('c')]);
  await vi.advanceTimersByTimeAsync(10);
  expect(stored.size).toBe(2);
  await settle();
  await settle();
  expect([sentIds, stored.size]).toEqual([[['a', 'b'], ['a', 'b'], ['a', 'b'], ['c']], 0]);
});

it('sends what an earlier page left behind', async () => {
  stored.set(
    'junctor.outbox.1',
    JSON.stringify({ key: 'junctor.outbox.1', quadId: 'q', personId: 'p', records: [record('left')] }),
  );
  const { startOutbox } = await import('./outbox');
  startOutbox(() => undefined);
  await settle();
  expect([sentIds, stored.size]).toEqual([[['left']], 0]);
});

it('waits for a sign-in, but does not let a refused record hold up the rest', async () => {
  answers = [reply(401, { code: 'sign.in', message: 'Sign in first', path: null, context: null }), refused];
  const { enqueue } = await import('./outbox');
  enqueue('q', 'p', [record('a')]);
  enqueue('q', 'p', [record('b')]);
  await vi.advanceTimersByTimeAsync(10);
  expect(stored.size).toBe(2);
  await settle();
  expect([sentIds, stored.size]).toEqual([[['a'], ['a'], ['b']], 0]);
});

it('keeps another person’s records without holding up one’s own', async () => {
  answers = [reply(403, { code: 'record.person', message: 'not yours', path: null, context: null })];
  const { enqueue } = await import('./outbox');
  enqueue('q', 'other', [record('theirs')]);
  enqueue('q', 'p', [record('mine')]);
  answers.push(taken, reply(403, { code: 'record.person', message: 'not yours', path: null, context: null }));
  await vi.advanceTimersByTimeAsync(10);
  expect(sentIds).toEqual([['theirs'], ['mine']]);
  expect([...stored.values()].join()).toContain('theirs');
});
