/** The log as it holds now: corrections stand in the place of what they correct, taken-back records are gone. */
import type { QuadRecord } from './records';

export interface Effective {
  /** The record whose body holds: the last of its chain of corrections. */
  record: QuadRecord;
  /** Place in the order of the fold: that of the first record of the chain. */
  placeSeq: number;
  /** When it counts as made: the seq of the last correction. */
  madeSeq: number;
}

/**
 * Records without a seq (kept on the tablet, not stored yet) come last, in the order given.
 * A correction of a record that is not in the log stands by itself.
 */
export function effective(log: readonly QuadRecord[]): Effective[] {
  const ordered = inOrder(log);
  const ids = new Set(ordered.map(({ record }) => record.id));
  const correctionOf = new Map<string, { record: QuadRecord; seq: number }>();
  for (const entry of ordered) {
    const { replaces } = entry.record;
    if (replaces && ids.has(replaces) && !correctionOf.has(replaces)) correctionOf.set(replaces, entry);
  }
  const result: Effective[] = [];
  for (const root of ordered) {
    if (root.record.replaces && ids.has(root.record.replaces)) continue;
    let last = root;
    for (let next = correctionOf.get(last.record.id); next; next = correctionOf.get(last.record.id)) last = next;
    const { body } = last.record;
    if ('saw' in body && body.saw === 'taken back') continue;
    result.push({ record: last.record, placeSeq: root.seq, madeSeq: last.seq });
  }
  return result;
}

/** The log by seq, with a place given to those that have none yet. */
export function inOrder(log: readonly QuadRecord[]): { record: QuadRecord; seq: number }[] {
  const stored = log.filter((record) => record.seq !== null).sort((a, b) => a.seq! - b.seq!);
  const highest = stored.at(-1)?.seq ?? 0;
  const waiting = log.filter((record) => record.seq === null);
  return [
    ...stored.map((record) => ({ record, seq: record.seq! })),
    ...waiting.map((record, index) => ({ record, seq: highest + 1 + index })),
  ];
}
