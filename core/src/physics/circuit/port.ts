/** What lies between a meter's probes, with nodes as numbers. */
import type { Branch } from './compile';

/** Below this a resistance is a conductor to a continuity tone; the lowest threshold of any meter is 10 ohm. */
export const conductorBelowOhms = 0.5;

export interface PortCircuit {
  /** Number of nodes; node 0 is the black probe. */
  size: number;
  black: number;
  red: number;
  branches: readonly Inner[];
}

/** An element with the numbers of the nodes at its ends. */
export interface Inner {
  id: string;
  a: number;
  b: number;
  element: Exclude<Branch['element'], { is: 'unknown switch' }>;
}

/** A port with the piece of copper that each of its nodes is. */
interface PiecedPort extends PortCircuit {
  pieces: readonly number[];
}

/**
 * The elements that hang together with two pieces of copper. Nodes are numbered anew: the black one, then those with
 * fewest neighbours, so that equations in this order stay sparse.
 */
export function portOf(inners: readonly Inner[], black: number, red: number): PiecedPort {
  const hanging = hangingOn(inners, [black, red]);
  const uses = new Uint16Array(numbersIn(hanging, [black, red]));
  const pieces = [...new Set([black, red])];
  const use = (piece: number) => {
    if (uses[piece] === 0 && piece !== black && piece !== red) pieces.push(piece);
    uses[piece]! += 1;
  };
  for (const { a, b } of hanging) {
    use(a);
    use(b);
  }
  // Sorting leaves those that are alike in their order: the black one stays first.
  uses[black] = 0;
  pieces.sort((one, other) => uses[one]! - uses[other]!);
  const number = new Int32Array(uses.length);
  pieces.forEach((piece, place) => (number[piece] = place));
  const branches = hanging.map(({ id, a, b, element }) => ({ id, a: number[a]!, b: number[b]!, element }));
  return { size: pieces.length, black: 0, red: number[red]!, branches, pieces };
}

function hangingOn(inners: readonly Inner[], probes: readonly number[]): readonly Inner[] {
  const reached = new Uint8Array(numbersIn(inners, probes));
  for (const probe of probes) reached[probe] = 1;
  for (let isMore = true; isMore;) {
    isMore = false;
    for (const { a, b } of inners)
      if (reached[a] !== reached[b]) {
        reached[a] = reached[b] = 1;
        isMore = true;
      }
  }
  return inners.filter(({ a }) => reached[a] === 1);
}

/** One more than the greatest number of a piece. */
function numbersIn(inners: readonly Inner[], probes: readonly number[]): number {
  let greatest = Math.max(...probes);
  for (const { a, b } of inners) greatest = Math.max(greatest, a, b);
  return greatest + 1;
}

/** The same without what nothing can flow into, since it hangs on one piece of copper alone: with no charge in it. */
export function withoutDeadEnds(inners: readonly Inner[], probes: readonly number[]): readonly Inner[] {
  const uses = new Uint16Array(numbersIn(inners, probes));
  // A probe is one use more than all that hangs on it.
  for (const probe of probes) uses[probe] = 1;
  for (const { a, b } of inners) {
    uses[a]! += 1;
    uses[b]! += 1;
  }
  for (let left = inners; ;) {
    const next = left.filter(({ a, b }) => {
      const isDead = uses[a] === 1 || uses[b] === 1;
      if (isDead) {
        uses[a]! -= 1;
        uses[b]! -= 1;
      }
      return !isDead;
    });
    if (next.length === left.length) return next;
    left = next;
  }
}
