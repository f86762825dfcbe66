/** What was sent is kept for a while, for a shop that has forgotten it. */
import { describe, expect, it } from 'vitest';
import { createOutbox } from './createOutbox';
import { bram, idsOf, madeClock, madeStorage, record, stored } from './outboxBench';
import type { Batch, KeyStore } from './types';

describe('what was sent', () => {
  it('is sent again to a shop that was made again from a backup, for seven days', async () => {
    const [clock, { storage }] = [madeClock(), madeStorage()];
    const got: string[] = [];
    const send = async (batch: Batch) => {
      got.push(...idsOf(batch));
      return stored(batch);
    };
    let made = 0;
    const box = createOutbox({ storage, clock, send, newId: () => `n${made++}` });
    box.epoch('first');
    box.keep('q', bram, [record('old')]);
    await clock.pass(8 * 24 * 3600_000);
    box.keep('q', bram, [record('a'), record('b')]);
    box.keep('q', bram, [record('c')]);
    await clock.pass(1000);
    box.epoch('first');
    await clock.pass(1000);
    expect(got).toEqual(['old', 'a', 'b', 'c']);
    box.epoch('second');
    await clock.pass(1000);
    expect(got.slice(4)).toEqual(['a', 'b', 'c']);
    expect(box.state().waiting).toBe(0);
  });

  it('gives way where there is no room for what was not sent yet', async () => {
    const [clock, { storage, gone }] = [madeClock(), madeStorage()];
    let [made, full] = [0, false];
    const small: KeyStore = {
      ...storage,
      set: (key, text) => {
        if (full && gone.size > 0) throw new DOMException('full', 'QuotaExceededError');
        storage.set(key, text);
      },
    };
    const box = createOutbox({
      storage: small,
      clock,
      send: async (batch) => stored(batch),
      newId: () => `n${made++}`,
    });
    box.keep('q', bram, [record('a')]);
    await clock.pass(1000);
    full = true;
    box.keep('q', bram, [record('b')]);
    expect(box.state().unkept.size).toBe(0);
    expect(gone.size).toBe(0);
  });
});
