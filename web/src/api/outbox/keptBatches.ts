/** What is kept in the browser's storage: read whole, with what cannot be read beside it. */
import { quietly } from '../../quietly';
import type { Batch, Damaged, KeyStore, RefusedBatch } from './types';

const waitingPrefix = 'junctor.outbox.';
const refusedPrefix = 'junctor.refused.';
const sentPrefix = 'junctor.sent.';

interface Kept {
  batches: readonly Batch[];
  refused: readonly RefusedBatch[];
  damaged: readonly Damaged[];
}

/** Keys are made of ids that grow with time: their order is the order of recording. */
export function readKept(storage: KeyStore): Kept {
  const read = <T extends Batch>(prefix: string) => {
    const entries = [...storage.keys()]
      .filter((key) => key.startsWith(prefix))
      .sort()
      .map((key) => ({ key, text: storage.get(key) ?? '' }));
    const parsed = entries.map(({ key, text }) => ({ key, text, batch: batchIn<T>(key, text) }));
    return {
      batches: parsed.flatMap(({ batch }) => batch ?? []),
      damaged: parsed.flatMap(({ key, text, batch }) => (batch ? [] : [{ key, text }])),
    };
  };
  const waiting = read<Batch>(waitingPrefix);
  const refused = read<RefusedBatch>(refusedPrefix);
  return {
    batches: waiting.batches,
    refused: refused.batches,
    damaged: [...waiting.damaged, ...refused.damaged],
  };
}

export const waitingKey = (id: string): string => `${waitingPrefix}${id}`;

/** The place of a batch among the refused. */
export const refusedKey = (key: string): string => key.replace(waitingPrefix, refusedPrefix);
/** The place of a batch among those that were sent. */
export const sentKey = (key: string): string => key.replace(waitingPrefix, sentPrefix);
export const waitingKeyOf = (key: string): string =>
  key.replace(refusedPrefix, waitingPrefix).replace(sentPrefix, waitingPrefix);

/** False when the storage is full or closed. What was sent gives way to what was not. */
export function wrote(storage: KeyStore, batch: Batch): boolean {
  for (;;) {
    try {
      storage.set(batch.key, JSON.stringify(batch));
      return true;
    } catch {
      if (!dropOldestSent(storage)) return false;
    }
  }
}

/** Where what was sent is kept, oldest first. */
export function sentKeys(storage: KeyStore): string[] {
  return (quietly(() => [...storage.keys()]) ?? []).filter((key) => key.startsWith(sentPrefix)).sort();
}

/** Lets go the oldest batch that the server has; false when there is none. */
function dropOldestSent(storage: KeyStore): boolean {
  const [oldest] = sentKeys(storage);
  return oldest !== undefined && quietly(() => (storage.remove(oldest), true)) === true;
}

/** Puts a batch at another place. Until it stands there it stays at the old one: it is never nowhere. */
export function moved(storage: KeyStore, from: string, batch: Batch): void {
  if (wrote(storage, batch)) quietly(() => storage.remove(from));
}

function batchIn<T extends Batch>(key: string, text: string): T | null {
  try {
    const batch = JSON.parse(text) as T | null;
    const whole =
      typeof batch?.quadId === 'string' &&
      typeof batch.personId === 'string' &&
      Array.isArray(batch.records) &&
      batch.records.every((record) => typeof record?.id === 'string');
    return whole ? { ...batch, key } : null;
  } catch {
    return null;
  }
}
