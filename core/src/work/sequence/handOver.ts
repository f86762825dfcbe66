/** Where the steps of the hand-over stand: matters closed, weights, what goes back, then the quad itself. */
import { workOf } from '../../facts/log/jobStart';
import type { LogState } from '../../facts/log/logState';
import type { Id } from '../../facts/terms/names';
import type { Place } from './order';

export const handOverTurns = { settle: 0, weigh: 1, send: 2, hand: 3 } as const;

export function handOverPlace(turn: number): Place {
  return { stretch: 'hand-over', group: { kind: 'hand-over' }, turn };
}

/** The seq of the newest act that a job did; 0 before the first. */
export function lastWorkSeq(log: LogState, jobId: Id): number {
  return Math.max(0, ...workOf(log, jobId).map(({ madeSeq }) => madeSeq));
}
