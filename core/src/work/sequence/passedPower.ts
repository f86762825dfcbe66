/** The power-up that this job has passed. */
import type { NoteOf } from '../../facts/log/logState';
import { invalidatedBy, standsOnAll } from '../../facts/log/stale';
import type { JobContext } from './jobContext';
import { lastNote } from './jobContext';

/** A power-up of the job that passed, under a permit, with nothing done since; else null. */
export function passedPower(job: Pick<JobContext, 'log' | 'jobId'>): NoteOf<'power'> | null {
  const last = lastNote(job, 'power');
  if (!last || last.record.body.verdict !== 'pass' || invalidatedBy(last, job.log, standsOnAll)) return null;
  return job.log.unpermitted.has(last.record.id) ? null : last;
}
