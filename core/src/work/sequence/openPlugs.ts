/** The ledger of open plugs: what was pulled in a job and is not home again. It blocks power and hand-over. */
import type { NoteOf } from '../../facts/log/logState';
import type { JobContext } from './jobContext';
import { lastNote } from './jobContext';

type Job = Pick<JobContext, 'log' | 'jobId'>;

export interface OpenPlug {
  mate: string;
  /** When it was pulled, and by whom, as the record says. */
  pulled: JobContext['log']['acts'][number]['record'];
  /** Said to stay open, with the reason. */
  stays: NoteOf<'stays open'> | null;
}

/** Plugs that acts of the job pulled, that the plan wants home and that are not. */
export function openPlugs(job: Pick<JobContext, 'log' | 'jobId' | 'asBuilt' | 'target'>): OpenPlug[] {
  const { log, jobId, asBuilt, target } = job;
  const open = Object.keys(target.build.mates).filter((mate) => !Object.hasOwn(asBuilt.build.mates, mate));
  return open.flatMap((mate): OpenPlug[] => {
    const pull = log.acts.findLast(
      ({ record: { body, jobId: of } }) => of === jobId && body.do === 'unmate' && body.id === mate,
    );
    return pull ? [{ mate, pulled: pull.record, stays: stayingOpen(mate, job) }] : [];
  });
}

/** The word that a plug stays open, unless it was pulled anew since. */
export function stayingOpen(mate: string, job: Job): NoteOf<'stays open'> | null {
  const said = lastNote(job, 'stays open', mate);
  const later =
    said &&
    job.log.acts.some(
      ({ madeSeq, record: { body } }) => madeSeq > said.madeSeq && body.do === 'unmate' && body.id === mate,
    );
  return later ? null : said;
}
