/** The notes of one kind in a folded log. */
import type { FoldedLog } from './fold';
import type { Effective } from './corrections';
import type { Note, QuadRecord } from './records';
import { isAct } from './records';

export type NoteOf<S extends Note['saw']> = Effective & { record: QuadRecord & { body: Extract<Note, { saw: S }> } };

/** Oldest first. */
export function notesOf<S extends Note['saw']>(log: FoldedLog, saw: S): NoteOf<S>[] {
  return log.notes.filter((entry): entry is NoteOf<S> => !isAct(entry.record.body) && entry.record.body.saw === saw);
}
