/** Where a job began. */
import type { Assembly } from '../assembly/assembly';
import type { Id } from '../terms/names';
import type { ActEntry, Entry, LogState } from './logState';
import { isAct } from './records';

/** True for an act that the job did; what was found when the quad came in belongs to where the job starts. */
function isWork({ record }: Entry, jobId: Id): boolean {
  return record.jobId === jobId && record.how === 'did' && isAct(record.body);
}

/** What a job did to the quad, oldest first. */
export function workOf({ acts }: Pick<LogState, 'acts'>, jobId: Id): ActEntry[] {
  return acts.filter((act) => isWork(act, jobId));
}

/** True once the job has done something to the quad. */
export function workBegun(log: Pick<LogState, 'acts'>, jobId: Id): boolean {
  return log.acts.some((act) => isWork(act, jobId));
}

/** As built before the job's first work. */
export function atJobStart(log: LogState, jobId: Id): Assembly {
  let { asBuilt } = log;
  for (let state = log; state.last; state = state.last.before) {
    if (isWork(state.last.entry, jobId)) ({ asBuilt } = state.last.before);
  }
  return asBuilt;
}
