/**
 * The quickest touches that together show every fault that any of them can show: an exact cover by the solver. A fault
 * that kills is shown by two, where two can; a silence counts only where both probes have sounded or read on the same
 * copper in the same list.
 */
import { lookUp } from '../../../facts/terms/lookUp';
import type { Constraint, Solve } from '../../../facts/terms/solver';

interface CoverRequest {
  /** Seconds of each touch. */
  seconds: readonly number[];
  /** Faults that must be shown: by which touches, and by how many of them. */
  wanted: readonly { by: readonly number[]; times: number }[];
  /** For a touch that proves nothing unless others have: for each probe those others. */
  anchors: ReadonlyMap<number, readonly (readonly number[])[]>;
}

type Cover = { is: 'proven'; touches: readonly number[]; seconds: number } | { is: 'gave up'; why: string };

export function coverOf({ seconds, wanted, anchors }: CoverRequest, solve: Solve): Cover {
  const rows = new Map<string, { by: readonly number[]; times: number }>();
  for (const row of wanted) {
    const key = row.by.join(' ');
    const known = rows.get(key);
    if (!known || known.times < row.times) rows.set(key, row);
  }
  const name = (touch: number) => `t${touch}`;
  const used = new Set([...rows.values()].flatMap(({ by }) => by));
  for (const touch of used) for (const others of anchors.get(touch) ?? []) for (const other of others) used.add(other);
  const constraints: Constraint[] = [
    ...[...rows.values()].map(({ by, times }): Constraint => ({
      terms: by.map((touch) => [name(touch), 1]),
      is: '>=',
      value: Math.min(times, by.length),
    })),
    ...[...used].flatMap((touch) =>
      (anchors.get(touch) ?? []).map((others): Constraint => ({
        terms: [...others.map((other) => [name(other), 1] as const), [name(touch), -1]],
        is: '>=',
        value: 0,
      })),
    ),
  ];
  const solved = solve({
    minimise: [...used].map((touch) => [name(touch), seconds[touch]!]),
    constraints,
    binaries: [...used].map(name),
    counts: [],
  });
  if (solved.is !== 'optimal')
    return { is: 'gave up', why: solved.is === 'impossible' ? 'no list shows them all' : solved.why };
  const touches = [...used].filter((touch) => lookUp(solved.values, name(touch))! > 0.5).sort((a, b) => a - b);
  return { is: 'proven', touches, seconds: touches.reduce((sum, touch) => sum + seconds[touch]!, 0) };
}
