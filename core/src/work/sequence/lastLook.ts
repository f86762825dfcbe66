/** What the last look at a joint said. */
import { invalidatedBy, standsOnJoint } from '../../facts/log/stale';
import type { JobContext } from './jobContext';
import { lastNote } from './jobContext';

/** The last look at a joint says redo, and nothing has been done to it since. */
export function wantsRedo(joint: string, job: Pick<JobContext, 'log' | 'jobId'>): boolean {
  const last = lastNote(job, 'look', joint);
  return last?.record.body.grade === 'redo' && !invalidatedBy(last, job.log, standsOnJoint(joint));
}
