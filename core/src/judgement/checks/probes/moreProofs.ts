/** What the minutes that are left buy: the touches that show most of what one would like to have shown besides. */
import type { Constraint, Solve } from '../../../facts/terms/solver';
import type { Candidates } from './candidates';
import type { Anchors, Placed } from './hands';
import { handsFor, parkedAt, touchName } from './hands';

/** Something that one more touch would prove, and what that is worth beside the others. */
export interface Wish {
  by: readonly number[];
  worth: number;
}

interface MoreRequest {
  candidates: Candidates;
  wishes: readonly Wish[];
  anchors: Anchors;
  /** What is asked in any case. */
  before: readonly Placed[];
  leftS: number;
}

/** So little worth has a second, that only of lists alike the quicker one is taken. */
const perSecond = 1e-3;

export function moreProofs(
  { candidates, wishes, anchors, before, leftS }: MoreRequest,
  solve: Solve,
): readonly Placed[] {
  const kinds = alike(wishes);
  if (leftS <= 0 || kinds.length === 0) return [];
  const hands = handsFor(
    kinds.flatMap(({ by }) => by),
    candidates,
    {
      anchors,
      isAsked: new Set(before.map(({ place }) => place)),
      isParked: new Set(before.map(({ way }) => parkedAt(way))),
    },
  );
  const wishName = (index: number) => `wish ${index}`;
  const constraints: Constraint[] = [
    ...kinds.map(({ by }, index): Constraint => ({
      terms: [...by.map((touch) => [touchName(touch), 1] as const), [wishName(index), -1]],
      is: '>=',
      value: 0,
    })),
    ...hands.constraints,
    { terms: hands.seconds, is: '<=', value: leftS },
  ];
  const solved = solve({
    minimise: [
      ...kinds.map(({ worth }, index) => [wishName(index), -worth] as const),
      ...hands.seconds.map(([name, seconds]) => [name, seconds * perSecond] as const),
    ],
    constraints,
    binaries: [...kinds.map((_, index) => wishName(index)), ...hands.binaries],
    counts: [],
  });
  return solved.is === 'optimal' ? hands.chosen(solved.values) : [];
}

/** What the same touches prove is worth together what each is. */
function alike(wishes: readonly Wish[]): Wish[] {
  const kinds = new Map<string, Wish>();
  for (const { by, worth } of wishes) {
    if (by.length === 0) continue;
    const key = by.join(' ');
    kinds.set(key, { by, worth: worth + (kinds.get(key)?.worth ?? 0) });
  }
  return [...kinds.values()];
}
