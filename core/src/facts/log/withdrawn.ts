/**
 * Notes that were taken back or corrected. What spoke against the quad does not go away by being unsaid: it holds until
 * it is measured afresh.
 */
import type { Assembly } from '../assembly/assembly';
import type { Id } from '../terms/names';
import type { Entry, LogState, NoteKind, NoteOf } from './logState';
import { notesOf } from './notesOf';
import type { Note } from './records';

export interface Withdrawn {
  entry: Entry<Note>;
  /** The correction that took its place, and its seq. */
  by: Id;
  seq: number;
  /** As built when the withdrawn record was made. */
  then: Assembly;
  /** True when nothing was put in its place. */
  takenBack: boolean;
}

/** True for what says that something is wrong. */
export function speaksAgainst(body: Note): boolean {
  switch (body.saw) {
    case 'reading':
      return body.reading.verdict === 'stop';
    case 'power':
      return body.verdict === 'stop';
    case 'look':
      return body.grade === 'redo';
    case 'pack':
      return body.polarity === 'reversed';
    case 'fault':
      return body.fault.state === 'found';
    default:
      return false;
  }
}

type WithdrawnNote<S extends NoteKind> = Omit<Withdrawn, 'entry'> & { entry: NoteOf<S> };

/** The withdrawn notes of a kind that spoke against the quad, oldest first. */
export function withdrawnOf<S extends NoteKind>(log: LogState, saw: S): readonly WithdrawnNote<S>[] {
  const against = log.withdrawn.filter(({ entry: { record } }) => {
    const { body, id } = record;
    return body.saw === saw && (speaksAgainst(body) || log.unpermitted.has(id));
  });
  return against as readonly Omit<Withdrawn, 'entry'>[] as readonly WithdrawnNote<S>[];
}

/** Power-ups that went wrong or that no permit held for, with the seq since when; those taken back as well. */
export function badPowers(log: LogState): { id: Id; seq: number }[] {
  const bad = notesOf(log, 'power').filter(
    ({ record }) => speaksAgainst(record.body) || log.unpermitted.has(record.id),
  );
  return [
    ...bad.map(({ record, madeSeq }) => ({ id: record.id, seq: madeSeq })),
    ...withdrawnOf(log, 'power').map(({ by, seq }) => ({ id: by, seq })),
  ];
}
