/** The newest reading of a touch. */
import type { Id } from '../terms/names';
import { countsIn } from './countsIn';
import type { LogState, NoteOf } from './logState';
import { touchKey } from './noteSubject';
import { notesAbout } from './notesOf';
import type { Touch } from './reading';

/** The newest reading of exactly this touch that counts in a job, or null. */
export function lastReading(log: LogState, touch: Touch, jobId: Id): NoteOf<'reading'> | null {
  return notesAbout(log, 'reading', touchKey(touch)).findLast(countsIn(log, jobId)) ?? null;
}
