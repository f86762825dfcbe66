/**
 * What this tablet has recorded and the server has not acknowledged yet. Kept before it is sent, sent in order, sent
 * again until it is stored, by one timer whose pauses grow. A repeat is harmless: the server knows each id. What the
 * server refuses is kept with its reason and holds nobody up.
 */
import type { QuadRecord } from '@junctor/core';
import { quietly } from '../../quietly';
import { keepSent, pruneSent, takeSent } from './sentBatches';
import { moved, readKept, refusedKey, waitingKey, waitingKeyOf, wrote } from './keptBatches';
import type { Batch, Clock, KeyStore, OutboxState, Place, RefusedBatch, Sender, Sent } from './types';

const epochKey = 'junctor.epoch';
const firstPauseMs = 1500;
const longestPauseMs = 60_000;
/** The server may break once by chance; a batch on which it breaks this often running is set aside. */
const failuresUntilAside = 3;

interface OutboxDeps {
  storage: KeyStore;
  clock: Clock;
  send: Sender;
  newId: () => string;
}

interface Maker {
  personId: string;
  name: string;
  hand: string | null;
}

interface Outbox {
  state: () => OutboxState;
  subscribe: (listener: () => void) => () => void;
  /** Keeps the records, then sends them. They count as recorded from here on. */
  keep: (quadId: string, by: Maker, records: readonly QuadRecord[]) => void;
  /** Sends what waits, now: the network is back, or somebody has signed in. */
  nudge: () => void;
  /** Is told of records that the server has stored, with their place in the log. */
  onStored: (listener: (quadId: string, records: readonly QuadRecord[], person: string) => void) => void;
  /** Is told which epoch of the shop answers: one that was made again is sent what it has forgotten. True if it was. */
  epoch: (epoch: string) => boolean;
  /** A refused batch is tried once more. */
  tryAgain: (key: string) => void;
  /** What was refused or cannot be read is let go for good. */
  letGo: (key: string) => void;
}

export function createOutbox({ storage, clock, send, newId }: OutboxDeps): Outbox {
  const listeners = new Set<() => void>();
  pruneSent(storage, clock.nowMs());
  let whenStored: Parameters<Outbox['onStored']>[0] = () => {};
  let state: OutboxState = begun(storage);
  let sending = false;
  let callOff: (() => void) | null = null;
  let pauseMs = firstPauseMs;
  /** Not before this, whoever asks: the server has said so. */
  let notBeforeMs = 0;
  const failures = new Map<string, number>();

  const set = (change: Partial<OutboxState>) => {
    if ((Object.keys(change) as (keyof OutboxState)[]).every((name) => change[name] === state[name])) return;
    state = { ...state, ...change };
    state = { ...state, waiting: recordsIn(state.batches) };
    for (const listener of listeners) listener();
  };
  const without = (key: string) => state.batches.filter((batch) => batch.key !== key);
  const forget = (key: string) => {
    // Where the storage was full, a batch still lies at the place that it was moved from.
    for (const place of [waitingKeyOf(key), refusedKey(key)]) quietly(() => storage.remove(place));
  };
  const leave = (key: string, change: Partial<OutboxState>) => {
    failures.delete(key);
    set({ batches: without(key), aside: less(state.aside, key), unkept: less(state.unkept, key), ...change });
    keepTheUnkept();
  };
  /** Where something was let go there may be room again. */
  const keepTheUnkept = () => {
    const still = state.batches.filter((batch) => state.unkept.has(batch.key) && !wrote(storage, batch));
    if (still.length < state.unkept.size) set({ unkept: new Set(still.map(({ key }) => key)) });
  };

  const afterwards = (ms: number) => {
    callOff?.();
    callOff = clock.after(ms, () => {
      callOff = null;
      pauseMs = Math.min(longestPauseMs, pauseMs * 2);
      void run();
    });
  };

  /** What an answer does to the batch; says whether the next one may go. */
  const settle = (batch: Batch, answer: Sent): 'on' | 'wait' | 'not theirs' => {
    switch (answer.is) {
      case 'stored':
        pauseMs = firstPauseMs;
        whenStored(batch.quadId, placed(batch.records, answer.places), batch.person ?? '');
        keepSent(storage, batch, clock.nowMs());
        forget(batch.key);
        leave(batch.key, { savedAt: clock.nowMs() });
        return 'on';
      case 'refused': {
        const kept: RefusedBatch = { ...batch, key: refusedKey(batch.key), message: answer.message, at: clock.nowMs() };
        moved(storage, batch.key, kept);
        leave(batch.key, { refused: [...state.refused, kept] });
        return 'on';
      }
      case 'failed': {
        const times = (failures.get(batch.key) ?? 0) + 1;
        failures.set(batch.key, times);
        if (times < failuresUntilAside) {
          set({ trouble: answer.why });
          return 'wait';
        }
        set({ aside: new Set(state.aside).add(batch.key) });
        return 'on';
      }
      case 'not theirs':
        return 'not theirs';
      default:
        if (answer.is === 'later' && answer.afterMs) notBeforeMs = clock.nowMs() + answer.afterMs;
        set({ trouble: answer.why });
        return 'wait';
    }
  };

  /** Sends in order what is not passed over, until one has to wait. True when all of them have gone their way. */
  const sendThrough = async (passed: Set<string>): Promise<boolean> => {
    const next = () => state.batches.find(({ key }) => !passed.has(key));
    for (let batch = next(); batch; batch = next()) {
      const outcome = settle(batch, await send(batch));
      if (outcome === 'wait') return false;
      if (outcome === 'not theirs') passed.add(batch.key);
      if (state.aside.has(batch.key)) passed.add(batch.key);
    }
    return true;
  };

  const run = async (): Promise<void> => {
    if (sending) return;
    const early = notBeforeMs - clock.nowMs();
    if (early > 0) return afterwards(early);
    callOff?.();
    callOff = null;
    sending = true;
    const before = [...state.aside];
    let through = await sendThrough(new Set(before));
    // Then, once a round, what the server broke on in an earlier one.
    for (const key of through ? before : []) {
      const batch = state.batches.find((candidate) => candidate.key === key);
      if (batch && settle(batch, await send(batch)) === 'wait') through = false;
    }
    sending = false;
    if (through) set({ trouble: troubleOf(state) });
    if (state.batches.length > 0) afterwards(Math.max(pauseMs, notBeforeMs - clock.nowMs()));
  };

  return {
    state: () => state,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    keep: (quadId, by, records) => {
      const { personId, name: person, hand } = by;
      const batch: Batch = { key: waitingKey(newId()), quadId, personId, person, hand, records };
      const unkept = wrote(storage, batch) ? state.unkept : new Set(state.unkept).add(batch.key);
      set({ batches: [...state.batches, batch], unkept });
      void run();
    },
    nudge: () => void run(),
    onStored: (listener) => (whenStored = listener),
    epoch: (epoch) => {
      const before = quietly(() => storage.get(epochKey));
      if (before === epoch) return false;
      quietly(() => storage.set(epochKey, epoch));
      if (before === null || before === undefined) return false;
      set({ batches: [...takeSent(storage, clock.nowMs()), ...state.batches] });
      void run();
      return true;
    },
    tryAgain: (key) => {
      const refused = state.refused.find((batch) => batch.key === key);
      if (!refused) return;
      const { message: _message, at: _at, ...batch } = { ...refused, key: waitingKeyOf(key) };
      moved(storage, key, batch);
      set({ refused: state.refused.filter((other) => other.key !== key), batches: [...state.batches, batch] });
      void run();
    },
    letGo: (key) => {
      forget(key);
      set({
        refused: state.refused.filter((batch) => batch.key !== key),
        damaged: state.damaged.filter((entry) => entry.key !== key),
      });
    },
  };
}

function begun(storage: KeyStore): OutboxState {
  const nothing = { batches: [], refused: [], damaged: [] };
  const kept = quietly(() => readKept(storage)) ?? nothing;
  return {
    ...kept,
    waiting: recordsIn(kept.batches),
    trouble: null,
    aside: new Set(),
    unkept: new Set(),
    savedAt: null,
  };
}

function recordsIn(batches: readonly Batch[]): number {
  return batches.reduce((sum, { records }) => sum + records.length, 0);
}

/** Why something still waits although everything that could go has gone. */
function troubleOf({ batches, aside }: OutboxState): string | null {
  if (batches.length === 0) return null;
  return batches.every(({ key }) => aside.has(key))
    ? 'the server fails on it; it is tried again'
    : 'waits until whoever recorded it signs in';
}

function placed(records: readonly QuadRecord[], places: readonly Place[]): QuadRecord[] {
  const placeOf = new Map(places.map((place) => [place.id, place]));
  return records.map((record) => ({ ...record, ...placeOf.get(record.id) }));
}

function less(keys: ReadonlySet<string>, key: string): ReadonlySet<string> {
  return keys.has(key) ? new Set([...keys].filter((other) => other !== key)) : keys;
}
