/** Look-ups among the notes of a log. */
import type { Id } from '../terms/names';
import type { Entry, LogState, NoteKind, NoteOf } from './logState';

/** The notes of one kind, oldest first. */
export function notesOf<S extends NoteKind>(log: LogState, saw: S): readonly NoteOf<S>[] {
  return (log.notes[saw]?.all ?? []) as readonly NoteOf<S>[];
}

/** The notes of one kind about one thing, oldest first. */
export function notesAbout<S extends NoteKind>(log: LogState, saw: S, subject: string): readonly NoteOf<S>[] {
  return (log.notes[saw]?.about.get(subject) ?? []) as readonly NoteOf<S>[];
}

/**
 * True for what was recorded in a job. What an earlier job proved is history, and counts for nothing in a later one,
 * unless nothing has touched the quad since (`countsIn`).
 */
export function ofJob(jobId: Id): (entry: Entry) => boolean {
  return ({ record }) => record.jobId === jobId;
}
