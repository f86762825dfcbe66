/** As built = fold of the quad's log. There is no as-built table that can be edited. */
import type { Catalogue } from '../catalogue/catalogue';
import { advance, emptyLog } from './advance';
import type { LogState } from './logState';
import type { QuadRecord } from './records';

/** The log in the order in which it holds: by seq, those without one (kept on a tablet) last, as they were given. */
export function inOrder<R extends Pick<QuadRecord, 'seq'>>(log: readonly R[]): R[] {
  const stored = log.filter(({ seq }) => seq !== null).sort((a, b) => a.seq! - b.seq!);
  return [...stored, ...log.filter(({ seq }) => seq === null)];
}

/** What a whole log amounts to. @throws {RangeError} If a part is fitted whose model the catalogue lacks. */
export function fold(log: readonly QuadRecord[], catalogue: Catalogue): LogState {
  return inOrder(log).reduce(advance, emptyLog(catalogue));
}
