/** What was weighed here: parts by their slot, the quad by how it was. */
import type { LogState } from '../../facts/log/logState';
import { notesOf } from '../../facts/log/notesOf';

/** Grams, the last of each. */
export function weighedIn(log: LogState): Readonly<Record<string, number>> {
  return Object.fromEntries(notesOf(log, 'weight').map(({ record: { body } }) => [body.what, body.grams]));
}
