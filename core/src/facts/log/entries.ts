/** The log as it holds now. */
import type { Id } from '../terms/names';
import type { Entry, LogState } from './logState';

/**
 * Every record in effect, oldest first: corrections in the place of what they correct, what was taken back left out.
 */
export function entriesOf(log: LogState): Entry[] {
  const entries: Entry[] = [];
  for (let { last } = log; last; { last } = last.before) {
    const { body } = last.entry.record;
    if (!('saw' in body && body.saw === 'taken back')) entries.push(last.entry);
  }
  return entries.reverse();
}

/**
 * A record in effect, taken back or not, with the state that it was made in; null when the log does not hold it any
 * more.
 */
export function findEntry(log: LogState, id: Id): { entry: Entry; before: LogState } | null {
  for (let { last } = log; last; { last } = last.before) if (last.entry.record.id === id) return last;
  return null;
}
