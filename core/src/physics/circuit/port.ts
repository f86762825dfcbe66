/** What lies between a meter's probes, with nodes as numbers. */
import type { Branch } from './compile';
import { joinedUp } from './joinedUp';

/** Below this a resistance is a conductor to a continuity tone; the lowest threshold of any meter is 10 ohm. */
export const conductorBelowOhms = 0.5;

export interface PortCircuit {
  /** Number of nodes. */
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

/** The elements that hang together with two pieces of copper; nodes are numbered anew. */
export function portOf(inners: readonly Inner[], black: number, red: number): PortCircuit {
  const hangsWith = joinedUp(1 + Math.max(black, red, ...inners.flatMap(({ a, b }) => [a, b])), inners);
  const probes = [hangsWith(black), hangsWith(red)];
  const hanging = inners.filter(({ a }) => probes.includes(hangsWith(a)));
  const nodes = new Map<number, number>();
  const nodeOf = (piece: number) => {
    if (!nodes.has(piece)) nodes.set(piece, nodes.size);
    return nodes.get(piece)!;
  };
  const ends = { black: nodeOf(black), red: nodeOf(red) };
  const branches = hanging.map(({ id, a, b, element }) => ({ id, a: nodeOf(a), b: nodeOf(b), element }));
  return { size: nodes.size, ...ends, branches };
}
