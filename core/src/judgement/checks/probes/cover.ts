/** The quickest touches that together show every fault that any of them can show: an exact cover by the solver. */
import type { Constraint, Solve } from '../../../facts/terms/solver';
import { hardest } from '../hardest';
import type { Candidates } from './candidates';
import type { Anchors, Placed } from './hands';
import { handsFor, touchName } from './hands';
import { worthAsking } from './worthAsking';

interface CoverRequest {
  candidates: Candidates;
  /** For each fault that must be shown the touches that show it. */
  wanted: readonly Row[];
  anchors: Anchors;
}

type Cover = { is: 'proven'; touches: readonly Placed[]; seconds: number } | { is: 'gave up'; why: string };

type Row = readonly number[];

export function coverOf({ candidates, wanted, anchors }: CoverRequest, solve: Solve): Cover {
  const needed = hardest(wanted);
  const worth = worthAsking(needed, { candidates, anchors: withoutImplied(anchors, needed) });
  const rows = hardest(worth.rows);
  const hands = handsFor(rows.flat(), candidates, { anchors: worth.anchors });
  const constraints: Constraint[] = [
    ...rows.map((by): Constraint => ({ terms: by.map((touch) => [touchName(touch), 1]), is: '>=', value: 1 })),
    ...hands.constraints,
  ];
  const solved = solve({ minimise: hands.seconds, constraints, binaries: hands.binaries, counts: [] });
  if (solved.is === 'optimal') return { is: 'proven', touches: hands.chosen(solved.values), seconds: solved.value };
  return { is: 'gave up', why: solved.is === 'impossible' ? 'no list shows them all' : solved.why };
}

/** Without what is asked for in any case. */
function withoutImplied(anchors: Anchors, rows: readonly Row[]): Anchors {
  return new Map(
    [...anchors].map(([touch, sides]) => [
      touch,
      sides.filter((others) => {
        const among = new Set(others);
        return !rows.some((by) => by.every((one) => among.has(one)));
      }),
    ]),
  );
}
