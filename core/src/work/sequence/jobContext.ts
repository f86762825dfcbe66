/** What every kind of step sees of a job. */
import type { Stages } from '../../facts/assembly/assembly';
import type { Change } from '../../facts/assembly/difference';
import { changeId, difference } from '../../facts/assembly/difference';
import { countsIn } from '../../facts/log/countsIn';
import { workBegun } from '../../facts/log/jobStart';
import type { Entry, LogState, NoteKind, NoteOf } from '../../facts/log/logState';
import { subjectOf } from '../../facts/log/noteSubject';
import { notesAbout, notesOf, ofJob } from '../../facts/log/notesOf';
import { invalidatedBy, standsOnAll } from '../../facts/log/stale';
import { badPowers, speaksAgainst, withdrawnOf } from '../../facts/log/withdrawn';
import type { Plan } from '../../facts/plan/plan';
import type { Id, StepId } from '../../facts/terms/names';
import { standingShort } from '../../judgement/checks/standingShort';
import type { TouchList } from '../../judgement/checks/touchList';
import type { AskedTouches } from './askedTouches';
import { askedTouches } from './askedTouches';
import type { Builds } from './group';
import type { PlacedChange } from './placedChanges';
import { placedChanges } from './placedChanges';
import type { Replacement } from './replacements';
import { leftToDo, replacementsIn } from './replacements';
import type { StepState } from './step';
import { open } from './step';

export interface JobContext extends Stages {
  jobId: Id;
  plan: Plan;
  log: LogState;
  touches: AskedTouches;
  /** True once the job has done something to the quad. */
  begun: boolean;
  /** What leads from the job's start to the plan. */
  fromStart: readonly Change[];
  replacements: readonly Replacement[];
  /** The reading of a short between the main leads that still stands. */
  short: NoteOf<'reading'> | null;
  /** That, and what leads back from where it went astray, each with its place. */
  changes: readonly PlacedChange[];
  /** What is left of it. */
  left: readonly Change[];
  leftIds: ReadonlySet<StepId>;
  /** Where to look up what a part or a wire is: as planned, as it is, as it was. */
  builds: Builds;
}

type Given = 'jobId' | 'plan' | 'log' | keyof Stages;

export function jobContext({ list, ...given }: Pick<JobContext, Given> & { list: TouchList | null }): JobContext {
  const { start, asBuilt, target, log, jobId, plan } = given;
  const replacements = replacementsIn(log, jobId, target);
  const left = leftToDo(asBuilt, target, replacements);
  const fromStart = difference(start.build, target.build);
  const builds = [target, asBuilt, start];
  const changes = placedChanges({ fromStart, left, replacements }, builds);
  return {
    ...given,
    begun: workBegun(log, jobId),
    fromStart,
    replacements,
    short: standingShort(log),
    changes,
    left,
    leftIds: new Set(left.map(changeId)),
    builds,
    touches: askedTouches({ jobId, plan, log, target, asBuilt, builds, changes, list }),
  };
}

/**
 * The newest note of a kind that counts in this job, about one thing where that is named. After one that spoke against
 * the quad was taken back or corrected only what is measured afresh counts.
 */
export function lastNote<S extends NoteKind>(
  { log, jobId }: Pick<JobContext, 'log' | 'jobId'>,
  saw: S,
  subject?: string,
): NoteOf<S> | null {
  const notes = subject === undefined ? notesOf(log, saw) : notesAbout(log, saw, subject);
  const counts = saw === 'reading' || saw === 'look' ? countsIn(log, jobId) : ofJob(jobId);
  const last = notes.findLast(counts);
  if (!last) return null;
  const unsaid = withdrawnOf(log, saw).findLast(
    ({ entry }) => counts(entry) && (subject === undefined || subjectOf(entry.record.body) === subject),
  );
  return unsaid && last.placeSeq < unsaid.seq && !speaksAgainst(last.record.body) ? null : last;
}

/** Open again, when something was done or a power-up was stopped since; a power-up that passed uses a note up. */
export function sinceLastActOrPower(note: Entry, job: JobContext): StepState | null {
  const act = invalidatedBy(note, job.log, standsOnAll);
  if (act) return open('Something was done since', act.record.id);
  const power = badPowers(job.log).find(({ seq }) => seq > note.madeSeq);
  return power ? open('Powered since', power.id) : null;
}
