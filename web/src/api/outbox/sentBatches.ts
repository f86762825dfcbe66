/**
 * What this tablet has sent and the server has stored, kept for seven days: a shop that was made again from a backup
 * has forgotten what came after it, and is sent it again.
 */
import { quietly } from '../../quietly';
import { sentKey, sentKeys, waitingKeyOf } from './keptBatches';
import type { Batch, KeyStore } from './types';

const keptMs = 7 * 24 * 3600_000;

type SentBatch = Batch & { at: number };

/** Puts a batch among those that were sent. Where there is no room it is let go: the server has it. */
export function keepSent(storage: KeyStore, batch: Batch, nowMs: number): void {
  const kept: SentBatch = { ...batch, key: sentKey(batch.key), at: nowMs };
  quietly(() => storage.set(kept.key, JSON.stringify(kept)));
}

/** Lets go what was sent more than seven days ago. */
export function pruneSent(storage: KeyStore, nowMs: number): void {
  for (const { key, batch } of sentIn(storage))
    if (!batch || nowMs - batch.at > keptMs) quietly(() => storage.remove(key));
}

/** What was sent in seven days, back at its place among what waits, in the order in which it was recorded. */
export function takeSent(storage: KeyStore, nowMs: number): Batch[] {
  pruneSent(storage, nowMs);
  return sentIn(storage).flatMap(({ key, batch }) => {
    if (!batch) return [];
    const { at: _at, ...waiting } = { ...batch, key: waitingKeyOf(key) };
    quietly(() => storage.set(waiting.key, JSON.stringify(waiting)));
    quietly(() => storage.remove(key));
    return [waiting];
  });
}

function sentIn(storage: KeyStore): { key: string; batch: SentBatch | null }[] {
  return sentKeys(storage).map((key) => ({
    key,
    batch: quietly(() => JSON.parse(storage.get(key) ?? 'null') as SentBatch | null) ?? null,
  }));
}
