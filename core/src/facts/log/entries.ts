/** The log as it holds now. */
import type { Entry, LogState } from './logState';

/** Every record in effect, oldest first: corrections in the place of what they correct, what was taken back left out. */
export function entriesOf(log: LogState): Entry[] {
  const entries: Entry[] = [];
  for (let { last } = log; last; { last } = last.before) {
    const { body } = last.entry.record;
    if (!('saw' in body && body.saw === 'taken back')) entries.push(last.entry);
  }
  return entries.reverse();
}
