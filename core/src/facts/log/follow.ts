/** A log that grows while somebody looks at it: what is known of it already is gone on from. */
import type { Catalogue } from '../catalogue/catalogue';
import { advance, emptyLog } from './advance';
import { inOrder } from './fold';
import type { LogState } from './logState';
import type { Judged } from './judged';
import type { QuadRecord } from './records';

/** A log with the state before its first record and after each one: one state more than records. */
export interface FollowedLog {
  catalogue: Catalogue;
  records: readonly QuadRecord[];
  states: readonly LogState[];
}

/** The state after the last record. */
export function stateOf({ states }: FollowedLog): LogState {
  return states.at(-1)!;
}

/**
 * Follows a log on from what was known of it. Goes on from the last record that is the same as before; one that was
 * waiting and has been given the seq it was expected to have is the same, unless the server found it to be otherwise.
 */
export function follow(before: FollowedLog | null, log: readonly QuadRecord[], catalogue: Catalogue): FollowedLog {
  const known = before?.catalogue === catalogue ? before : { catalogue, records: [], states: [emptyLog(catalogue)] };
  const records = inOrder(log);
  let same = Math.min(records.length, known.records.length);
  // A log only grows, so what agrees at one place agrees before it.
  while (same > 0 && !agrees(known, same - 1, records[same - 1]!)) same--;
  if (same === records.length && same === known.records.length) return { ...known, records };
  const kept = same === known.records.length ? known.states : known.states.slice(0, same + 1);
  let last = kept.at(-1)!;
  const added = records.slice(same).map((record) => (last = advance(last, record)));
  return { catalogue, records, states: kept.concat(added) };
}

function agrees({ records, states }: FollowedLog, index: number, { id, seq, judged }: QuadRecord): boolean {
  const taken = records[index]!;
  if (taken.id !== id || (judged !== undefined && taken.judged === undefined && changes(judged))) return false;
  return seq === null || seq === taken.seq || seq === states[index + 1]!.lastSeq;
}

/** True when the server found something else than was taken for granted here. */
function changes({ differs }: Judged): boolean {
  return differs.length > 0;
}
