/**
 * Which permits hold, record by record. A permit is for one power-up: it dies with that power record, with any later
 * act,
 * correction, stop reading or stop power, and while a fault is found. Corrections count in the order in which they
 * came.
 */
import type { LogState } from './logState';
import type { QuadRecord } from './records';
import { isAct } from './records';

/** What a record leaves of the permits before it. */
export function afterPermits(
  { livePermits, unpermitted, latestActAt }: LogState,
  record: QuadRecord,
): Pick<LogState, 'livePermits' | 'unpermitted' | 'latestActAt'> {
  const { body, id, doneAt } = record;
  if (isAct(body)) {
    return { livePermits: [], unpermitted, latestActAt: doneAt > latestActAt ? doneAt : latestActAt };
  }
  const withoutPermit =
    body.saw === 'power' && body.stage !== 'off' && !(body.permit !== null && livePermits.includes(body.permit));
  const left = ends(record) ? [] : livePermits;
  // An act that was done later by the clock though it came earlier leaves a permit no ground to stand on.
  const gives = body.saw === 'permit' && latestActAt <= doneAt;
  return {
    livePermits: gives ? [...left, id] : left,
    unpermitted: withoutPermit ? new Set(unpermitted).add(id) : unpermitted,
    latestActAt,
  };
}

function ends({ body, replaces }: QuadRecord): boolean {
  if (replaces !== undefined || isAct(body)) return true;
  if (body.saw === 'reading') return body.reading.verdict === 'stop';
  if (body.saw === 'fault') return body.fault.state === 'found';
  return body.saw === 'power' || body.saw === 'taken back';
}
