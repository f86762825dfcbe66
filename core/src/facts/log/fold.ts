/** As built = fold of the quad's log. There is no as-built table that can be edited. */
import type { Catalogue } from '../catalogue/catalogue';
import { advance, emptyLog } from './advance';
import type { LogState } from './logState';
import type { QuadRecord } from './records';

/** The log in the order in which it holds: by seq, those without one (kept on a tablet) last, as they were given. */
export function inOrder<R extends Pick<QuadRecord, 'seq'>>(log: readonly R[]): readonly R[] {
  if (isInOrder(log)) return log;
  const stored = log.filter(({ seq }) => seq !== null).sort((a, b) => a.seq! - b.seq!);
  return [...stored, ...log.filter(({ seq }) => seq === null)];
}

function isInOrder(log: readonly Pick<QuadRecord, 'seq'>[]): boolean {
  let before = -Infinity;
  for (const { seq } of log) {
    const place = seq ?? Infinity;
    if (place < before) return false;
    before = place;
  }
  return true;
}

/** What a whole log amounts to. @throws {RangeError} If a part is fitted whose model the catalogue lacks. */
export function fold(log: readonly QuadRecord[], catalogue: Catalogue): LogState {
  return inOrder(log).reduce(advance, emptyLog(catalogue));
}
