/** Which records count in a job: its own, and of the job before what stands on nothing having been touched since. */
import type { Id } from '../terms/names';
import type { Entry, LogState } from './logState';
import { notesOf, ofJob } from './notesOf';

/** The job whose readings and looks still count in this one: somebody said that nothing has touched it since. */
export function untouchedSince(log: LogState, jobId: Id): Id | null {
  const said = notesOf(log, 'untouched').findLast(ofJob(jobId));
  return said && !diedSince(log, jobId) ? said.record.body.since : null;
}

/** Whatever it died of has touched it, whoever says otherwise. */
export function diedSince(log: LogState, jobId: Id): boolean {
  const history = notesOf(log, 'history').findLast(ofJob(jobId));
  return history !== undefined && history.record.body.died !== 'it did not die';
}

/** True for a reading or a look that counts in a job. */
export function countsIn(log: LogState, jobId: Id): (entry: Entry) => boolean {
  const since = untouchedSince(log, jobId);
  return ({ record }) => record.jobId === jobId || (since !== null && record.jobId === since);
}
