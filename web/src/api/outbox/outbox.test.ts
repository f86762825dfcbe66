/**
 * The outbox under a clock made here: what is recorded is kept before it is sent, sent in order, sent again, and only
 * let go when the server has it. Held against a server that is simply a list without repeats.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { away, broken, bram, idsOf, made, record, seeded, stored } from './outboxBench';
import type { Batch, Sent } from './types';

describe('the outbox', () => {
  it('keeps a record before the answer, and lets it go after', async () => {
    const { box, clock, items, heard } = made(stored);
    box.keep('q', bram, [record('a')]);
    expect(items.size).toBe(1);
    await clock.settled();
    expect([items.size, heard, box.state().waiting, clock.pending()]).toEqual([0, ['a'], 0, []]);
  });

  it('sends what an earlier page left behind, in its order', async () => {
    const left = (key: string, id: string) => ({
      [key]: JSON.stringify({ key, quadId: 'q', personId: 'p1', records: [record(id)] }),
    });
    const { box, clock, sent } = made(stored, { ...left('junctor.outbox.2', 'b'), ...left('junctor.outbox.1', 'a') });
    box.nudge();
    await clock.settled();
    expect(sent).toEqual([['a'], ['b']]);
  });

  it('tries again with growing pauses and one timer, however much is recorded meanwhile', async () => {
    const { box, clock } = made(() => away);
    const pauses: number[] = [];
    for (let round = 0; round < 9; round++) {
      box.keep('q', bram, [record(`r${round}`)]);
      await clock.settled();
      expect(clock.pending()).toHaveLength(1);
      pauses.push(clock.pending()[0]!);
      await clock.pass(clock.pending()[0]!);
    }
    expect(pauses).toEqual([1500, 3000, 6000, 12_000, 24_000, 48_000, 60_000, 60_000, 60_000]);
    expect(clock.most()).toBe(1);
  });

  it('waits as long as the server says, also when more is recorded', async () => {
    const answers: Sent[] = [{ is: 'later', why: 'wait', afterMs: 20_000 }];
    const { box, clock, sent } = made((batch) => answers.shift() ?? stored(batch));
    box.keep('q', bram, [record('a')]);
    await clock.settled();
    box.keep('q', bram, [record('b')]);
    await clock.pass(19_000);
    expect(sent).toEqual([['a']]);
    await clock.pass(2000);
    expect(sent).toEqual([['a'], ['a'], ['b']]);
  });

  it('keeps what was refused, with its reason, and holds up nobody', async () => {
    const { box, clock, items, sent } = made((batch) =>
      idsOf(batch).includes('bad') ? { is: 'refused', message: 'not like that' } : stored(batch),
    );
    box.keep('q', bram, [record('bad')]);
    box.keep('q', bram, [record('good')]);
    await clock.settled();
    expect([sent, [...items.keys()]]).toEqual([[['bad'], ['good']], ['junctor.refused.000000']]);
    expect(box.state().refused).toMatchObject([{ message: 'not like that', records: [{ id: 'bad' }] }]);
    const { key } = box.state().refused[0]!;
    box.tryAgain(key);
    await clock.settled();
    expect([sent.length, box.state().refused.length]).toEqual([3, 1]);
    box.letGo(key);
    expect([items.size, box.state().refused]).toEqual([0, []]);
  });

  it('sets aside what the server breaks on, and tries it again after the others', async () => {
    let mended = false;
    const { box, clock, sent } = made((batch) => (idsOf(batch).includes('poison') && !mended ? broken : stored(batch)));
    box.keep('q', bram, [record('poison')]);
    box.keep('q', bram, [record('b')]);
    await clock.pass(10_000);
    expect(sent.filter((ids) => ids.includes('b'))).toHaveLength(1);
    expect([box.state().waiting, box.state().aside.size]).toEqual([1, 1]);
    mended = true;
    await clock.pass(120_000);
    expect([box.state().waiting, box.state().aside.size, box.state().trouble]).toEqual([0, 0, null]);
  });

  it('keeps another person’s records without holding up one’s own, and sends them with their hand', async () => {
    const hands: (string | null | undefined)[] = [];
    const { box, clock } = made((batch) => {
      hands.push(batch.hand);
      return batch.personId === 'p2' ? { is: 'not theirs' } : stored(batch);
    });
    box.keep('q', { personId: 'p2', name: 'Oda', hand: 'h2' }, [record('theirs')]);
    box.keep('q', bram, [record('mine')]);
    await clock.settled();
    expect(box.state()).toMatchObject({ waiting: 1, trouble: 'waits until whoever recorded it signs in' });
    expect(hands).toContain('h2');
  });

  it('says when the storage is full, sends all the same, and keeps it once there is room', async () => {
    let online = false;
    const { box, clock, items, storage } = made((batch) => (online ? stored(batch) : away));
    box.keep('q', bram, [record('a')]);
    storage.full = true;
    box.keep('q', bram, [record('b')]);
    box.keep('q', bram, [record('c')]);
    expect([box.state().waiting, box.state().unkept.size, items.size]).toEqual([3, 2, 1]);
    storage.full = false;
    online = true;
    await clock.pass(5000);
    expect([box.state().waiting, box.state().unkept.size, items.size]).toEqual([0, 0, 0]);
  });

  it('is never nowhere while it moves between waiting and refused', async () => {
    let refuses = true;
    const answer = (batch: Batch): Sent => (refuses ? { is: 'refused', message: 'no' } : stored(batch));
    const { box, clock, items, storage } = made(answer);
    const places = () => [...items.values()].map((text) => idsOf(JSON.parse(text) as Batch));
    for (const full of [true, false, true]) {
      items.clear();
      storage.full = false;
      refuses = true;
      box.keep('q', bram, [record('a')]);
      storage.full = full;
      await clock.settled();
      expect(places()).toEqual([['a']]);
      refuses = false;
      storage.full = !full;
      box.tryAgain(box.state().refused[0]!.key);
      expect(places()).toEqual([['a']]);
      await clock.settled();
      expect([places(), box.state().waiting, box.state().refused]).toEqual([[], 0, []]);
    }
  });

  it('leaves what cannot be read where it is, says so, and goes on with the rest', async () => {
    const good = JSON.stringify({ key: 'junctor.outbox.2', quadId: 'q', personId: 'p1', records: [record('b')] });
    const { box, clock, items, sent } = made(stored, {
      'junctor.outbox.1': '{"quadId":"q","rec',
      'junctor.outbox.2': good,
      'junctor.outbox.3': '{"quadId":"q","personId":"p1","records":[null]}',
      'junctor.refused.4': 'null',
    });
    box.nudge();
    await clock.settled();
    expect(sent).toEqual([['b']]);
    expect(box.state().damaged.map(({ key }) => key)).toEqual([
      'junctor.outbox.1',
      'junctor.outbox.3',
      'junctor.refused.4',
    ]);
    expect(items.size).toBe(3);
  });
});

describe('two hundred records on a bad network, a full storage and one that breaks the server', () => {
  const poison = 'r77';
  it('loses none, doubles none, changes no order, and never has two timers', async () => {
    const kinds = ['stored', 'stored', 'later', 'sign in', 'taken unheard'] as const;
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 2 ** 31 }), async (seed) => {
        const chance = seeded(seed);
        // A server keeps each id once: what it has taken without being heard comes again.
        const server: string[] = [];
        const take = (batch: Batch) => idsOf(batch).forEach((id) => server.includes(id) || server.push(id));
        const test = made((batch) => {
          if (idsOf(batch).includes(poison)) return broken;
          const became = kinds[Math.floor(chance() * kinds.length)]!;
          if (became === 'later') return away;
          if (became === 'sign in') return { is: 'sign in', why: 'sign in to send it' };
          take(batch);
          return became === 'taken unheard' ? away : stored(batch);
        });
        const all = Array.from({ length: 200 }, (_, index) => `r${index}`);
        for (const [index, id] of all.entries()) {
          test.storage.full = index > 60 && index < 90;
          test.box.keep('q', bram, [record(id)]);
          if (index % 7 === 0) await test.clock.pass(chance() * 20_000);
        }
        await test.clock.pass(8 * 3_600_000);
        const others = all.filter((id) => id !== poison);
        expect(server).toEqual(others);
        expect([...new Set(test.heard)]).toEqual(others);
        expect(test.heard).toHaveLength(others.length);
        expect(test.box.state().batches.flatMap(idsOf)).toEqual([poison]);
        expect(test.clock.most()).toBe(1);
      }),
      { numRuns: 25, seed: 11 },
    );
  });
});
