/** The picture that stands for what no margin says of a layout. */
import type { LogState } from '../../facts/log/logState';
import { notesAbout, notesOf, ofJob } from '../../facts/log/notesOf';
import type { Id } from '../../facts/terms/names';

/** What such a picture is of, in the log. */
export const ofLayout = 'the layout';

/** The newest of this job, taken since another layout of it was signed; null: none, it must be looked at. */
export function layoutPicture(log: LogState, jobId: Id, basis: string): Id | null {
  const since = notesOf(log, 'layout').findLast(
    (note) => ofJob(jobId)(note) && note.record.body.basis !== basis,
  )?.placeSeq;
  const picture = notesAbout(log, 'picture', ofLayout).findLast(ofJob(jobId));
  return picture && picture.placeSeq > (since ?? -1) ? picture.record.id : null;
}
