/** What the outbox is tried with: a clock and a storage made here, and answers that a server would give. */
import type { QuadRecord } from '@junctor/core';
import { createOutbox } from './createOutbox';
import type { Batch, KeyStore, Sent } from './types';

export const record = (id: string) =>
  ({ id, seq: null, quadId: 'q', body: { saw: 'caution', id } }) as unknown as QuadRecord;
export const bram = { personId: 'p1', name: 'Bram', hand: 'h1' };
export const idsOf = ({ records }: { records: readonly { id: string }[] }) => records.map(({ id }) => id);
export const stored = ({ records }: Batch): Sent => ({
  is: 'stored',
  places: records.map(({ id }, index) => ({ id, seq: index + 1, arrivedAt: '' })),
});

/** Runs what is due, in order; nothing else passes time. */
export function madeClock() {
  const timers = new Map<number, { atMs: number; run: () => void }>();
  let [nowMs, next, most] = [0, 0, 0];
  const settled = () => new Promise<void>((resolve) => setImmediate(resolve));
  return {
    nowMs: () => nowMs,
    after: (ms: number, run: () => void) => {
      const timer = next++;
      timers.set(timer, { atMs: nowMs + ms, run });
      most = Math.max(most, timers.size);
      return () => void timers.delete(timer);
    },
    /** The most timers that were ever waiting at once. */
    most: () => most,
    pending: () => [...timers.values()].map(({ atMs }) => atMs - nowMs),
    settled,
    pass: async (ms: number) => {
      const until = nowMs + ms;
      await settled();
      for (;;) {
        const [due] = [...timers].filter(([, { atMs }]) => atMs <= until).sort((a, b) => a[1].atMs - b[1].atMs);
        if (!due) break;
        timers.delete(due[0]);
        nowMs = due[1].atMs;
        due[1].run();
        await settled();
      }
      nowMs = until;
    },
  };
}

/** `items`: what is there beside what was sent, which lies in `gone`. */
export function madeStorage(before: Readonly<Record<string, string>> = {}) {
  const items = new Map(Object.entries(before));
  const gone = new Map<string, string>();
  const state = { full: false };
  const placeOf = (key: string) => (key.startsWith('junctor.sent.') ? gone : items);
  const storage: KeyStore = {
    keys: () => [...items.keys(), ...gone.keys()],
    get: (key) => placeOf(key).get(key) ?? null,
    set: (key, text) => {
      if (state.full) throw new DOMException('full', 'QuotaExceededError');
      placeOf(key).set(key, text);
    },
    remove: (key) => void placeOf(key).delete(key),
  };
  return { items, gone, state, storage };
}

export function made(answer: (batch: Batch) => Sent, before: Readonly<Record<string, string>> = {}) {
  const clock = madeClock();
  const { items, state, storage } = madeStorage(before);
  const sent: string[][] = [];
  const heard: string[] = [];
  let id = 0;
  const box = createOutbox({
    storage,
    clock,
    newId: () => String(id++).padStart(6, '0'),
    send: async (batch) => {
      sent.push(idsOf(batch));
      return Promise.resolve(answer(batch));
    },
  });
  box.onStored((_quad, records) => heard.push(...records.map((known) => known.id)));
  return { box, clock, items, storage: state, sent, heard };
}

/** Even chances from a seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

export const away: Sent = { is: 'later', why: 'no answer' };
export const broken: Sent = { is: 'failed', why: 'the server failed on it' };
