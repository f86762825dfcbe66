/** The outbox of this tablet, on the browser's storage and clock. */
import { useSyncExternalStore } from 'react';
import { whenEpoch } from '../client';
import { newId } from '../device';
import { handOf } from '../hand';
import type { Person } from '../types';
import { createOutbox } from './createOutbox';
import { sendBatch } from './sendBatch';
import type { Batch, OutboxState } from './types';

export type { Batch, OutboxState } from './types';

const box = createOutbox({
  storage: {
    keys: () => Object.keys(localStorage),
    get: (key) => localStorage.getItem(key),
    set: (key, text) => localStorage.setItem(key, text),
    remove: (key) => localStorage.removeItem(key),
  },
  clock: {
    nowMs: () => Date.now(),
    after: (ms, run) => {
      const timer = setTimeout(run, ms);
      return () => clearTimeout(timer);
    },
  },
  send: sendBatch,
  newId,
});

export const outbox = {
  ...box,
  /** Keeps what a signed-in person has recorded. */
  keep: (quadId: string, { personId, name }: Person, records: Parameters<typeof box.keep>[2]) =>
    box.keep(quadId, { personId, name, hand: handOf(personId) }, records),
};

/** Sends what an earlier page left, and again whenever the network comes back. */
export function startOutbox(whenStored: Parameters<typeof box.onStored>[0]): void {
  box.onStored(whenStored);
  // What the page knows of the logs is of a shop that is no more.
  whenEpoch((epoch) => {
    if (box.epoch(epoch)) window.location.reload();
  });
  box.nudge();
  window.addEventListener('online', box.nudge);
}

/** Resolves once nothing waits to be stored any more. */
export function allStored(): Promise<void> {
  return new Promise((resolve) => {
    const look = () => {
      if (box.state().waiting > 0) return;
      stop();
      resolve();
    };
    const stop = box.subscribe(look);
    look();
  });
}

export function useOutbox(): OutboxState {
  return useSyncExternalStore(box.subscribe, box.state);
}

/** Only what waits: other news of the outbox draws nothing anew. */
export function useKeptBatches(): readonly Batch[] {
  return useSyncExternalStore(box.subscribe, () => box.state().batches);
}
