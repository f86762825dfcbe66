/** Where a job began. */
import type { Assembly } from '../assembly/assembly';
import type { Id } from '../terms/names';
import type { ActEntry, Entry, LogState, NoteKind } from './logState';
import { isAct } from './records';

/**
 * True for an act that belongs to the job's work: one that it did, and one that it found when its intake was over. What
 * was found as the quad came in belongs to where the job starts.
 */
function isWork({ record, placeSeq }: Entry, jobId: Id, intakeEnd: number): boolean {
  return record.jobId === jobId && isAct(record.body) && (record.how === 'did' || placeSeq > intakeEnd);
}

/** Notes that are made of a quad while it is taken in. */
const ofIntake: ReadonlySet<NoteKind> = new Set([
  'weight',
  'picture',
  'symptom',
  'history',
  'untouched',
  'kit',
  'signature',
  'layout',
  'gap',
  'length',
  'cut',
  'caution',
  'skip',
  'open point',
  'waiver',
]);

/** The seq with which a job's intake ended: that of the first record that is work, a measurement or a look. */
function intakeEndOf(log: LogState, jobId: Id): number {
  const own = ({ record }: Entry) => record.jobId === jobId;
  const notes = Object.entries(log.notes).flatMap(([kind, { all }]) =>
    ofIntake.has(kind as NoteKind) ? [] : (all.find(own) ?? []),
  );
  const first = log.acts.find((act) => own(act) && act.record.how === 'did');
  return Math.min(...[...notes, ...(first ? [first] : [])].map(({ placeSeq }) => placeSeq));
}

/** What a job did to the quad, oldest first. */
export function workOf(log: LogState, jobId: Id): ActEntry[] {
  const end = intakeEndOf(log, jobId);
  return log.acts.filter((act) => isWork(act, jobId, end));
}

/** True once the job has done something to the quad. */
export function workBegun(log: LogState, jobId: Id): boolean {
  return workOf(log, jobId).length > 0;
}

/** As built before the job's first work. */
export function atJobStart(log: LogState, jobId: Id): Assembly {
  const end = intakeEndOf(log, jobId);
  let { asBuilt } = log;
  for (let state = log; state.last; state = state.last.before) {
    if (isWork(state.last.entry, jobId, end)) ({ asBuilt } = state.last.before);
  }
  return asBuilt;
}
