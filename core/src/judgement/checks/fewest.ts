/**
 * The fewest of some things that meet every need, where one that is taken may need others: each need is tried with each
 * that meets it, the narrowest first, and a way is left as soon as it cannot beat the best one.
 */
import { hardest } from './hardest';

interface Needs {
  /** Each is met by any one of these. */
  rows: readonly (readonly number[])[];
  /** Taken in any case. */
  always: readonly number[];
  /** What else is needed where one is taken. */
  standsOn: (one: number) => readonly (readonly number[])[];
}

/** @throws {RangeError} If a need is met by nothing. */
export function fewest({ rows, always, standsOn }: Needs): ReadonlySet<number> {
  if (rows.some((row) => row.length === 0)) throw new RangeError('a need that nothing meets');
  const narrow = hardest(rows);
  let best: ReadonlySet<number> | null = null;
  const unmet = (taken: ReadonlySet<number>) => {
    const isUnmet = (row: readonly number[]) => !row.some((one) => taken.has(one));
    return hardest([...narrow, ...[...taken].flatMap(standsOn)].filter(isUnmet));
  };
  const take = (taken: ReadonlySet<number>): void => {
    const open = unmet(taken);
    if (open.length === 0) {
      if (!best || taken.size < best.size) best = taken;
      return;
    }
    if (best && taken.size + apart(open) >= best.size) return;
    const meets = (one: number) => open.filter((row) => row.includes(one)).length;
    const ways = [...open[0]!].sort((a, b) => meets(b) - meets(a) || a - b);
    for (const one of ways) take(new Set([...taken, one]));
  };
  take(new Set(always));
  return best!;
}

/** So many needs have nothing in common: each takes one more. */
function apart(rows: readonly (readonly number[])[]): number {
  const used = new Set<number>();
  return rows.filter((row) => {
    if (row.some((one) => used.has(one))) return false;
    row.forEach((one) => used.add(one));
    return true;
  }).length;
}
