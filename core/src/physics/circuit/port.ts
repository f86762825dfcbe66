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

/** The elements that hang together with two pieces of copper, with nodes numbered anew from the black one. */
export function portOf(inners: readonly Inner[], black: number, red: number): PiecedPort {
  const number = new Map([[black, 0]]);
  const numberOf = (piece: number) => {
    if (!number.has(piece)) number.set(piece, number.size);
    return number.get(piece)!;
  };
  const redNumber = numberOf(red);
  const branches = hangingOn(inners, [black, red]).map((inner) => ({
    ...inner,
    a: numberOf(inner.a),
    b: numberOf(inner.b),
  }));
  return { size: number.size, black: 0, red: redNumber, branches, pieces: [...number.keys()] };
}

function hangingOn(inners: readonly Inner[], probes: readonly number[]): readonly Inner[] {
  const reached = new Set(probes);
  for (let before = 0; before !== reached.size;) {
    before = reached.size;
    for (const { a, b } of inners) {
      if (reached.has(a)) reached.add(b);
      if (reached.has(b)) reached.add(a);
    }
  }
  return inners.filter(({ a }) => reached.has(a));
}

/** The same without what nothing can flow into, since it hangs on one piece of copper alone: with no charge in it. */
export function withoutDeadEnds(inners: readonly Inner[], probes: readonly number[]): readonly Inner[] {
  let left = inners;
  for (;;) {
    const uses = new Map<number, number>();
    for (const { a, b } of left) {
      uses.set(a, (uses.get(a) ?? 0) + 1);
      uses.set(b, (uses.get(b) ?? 0) + 1);
    }
    const isDead = (end: number) => uses.get(end) === 1 && !probes.includes(end);
    const next = left.filter(({ a, b }) => !isDead(a) && !isDead(b));
    if (next.length === left.length) return next;
    left = next;
  }
}
