/**
 * A circuit made small for the meter's port: conductors melted into one node, and only the part that hangs
 * together with the two probes kept.
 */
import type { Branch, Circuit } from './compile';

/** Below this a resistance is a conductor to a continuity tone; the lowest threshold of any meter is 10 ohm. */
export const conductorBelowOhms = 0.5;

export interface PortCircuit {
  /** Number of nodes; node 0 is the black probe. */
  size: number;
  black: number;
  red: number;
  branches: readonly {
    id: string;
    a: number;
    b: number;
    element: Exclude<Branch['element'], { is: 'unknown switch' }>;
  }[];
}

/**
 * The circuit between two nodes.
 * @param conductorBelowOhms Resistors below this become plain copper: 0 keeps all (needed to measure ohms).
 * @param switchesClosed What the switches of unknown state are taken for.
 */
export function reduceToPort(
  circuit: Circuit,
  { blackNode, redNode }: { blackNode: string; redNode: string },
  conductorBelowOhms: number,
  switchesClosed: boolean,
): PortCircuit {
  const known = circuit.branches.flatMap((branch) => resolveSwitch(branch, switchesClosed));
  const parent = new Map<string, string>();
  const find = (node: string): string => {
    const up = parent.get(node);
    if (up === undefined || up === node) return node;
    const root = find(up);
    parent.set(node, root);
    return root;
  };
  const isCopper = ({ element }: (typeof known)[number]) =>
    element.is === 'resistor' && element.ohms < conductorBelowOhms;
  for (const branch of known) if (isCopper(branch)) parent.set(find(branch.a), find(branch.b));

  const kept = known
    .filter((branch) => !isCopper(branch))
    .map(({ id, a, b, element }) => ({ id, a: find(a), b: find(b), element }))
    .filter(({ a, b }) => a !== b);
  const number = new Map([[find(blackNode), 0]]);
  if (!number.has(find(redNode))) number.set(find(redNode), 1);
  spread(kept, number);
  return {
    size: number.size,
    black: 0,
    red: number.get(find(redNode))!,
    branches: kept.flatMap(({ id, a, b, element }) => {
      const [na, nb] = [number.get(a), number.get(b)];
      return na === undefined || nb === undefined ? [] : [{ id, a: na, b: nb, element }];
    }),
  };
}

function resolveSwitch(
  branch: Branch,
  closed: boolean,
): (Omit<Branch, 'element'> & { element: PortCircuit['branches'][number]['element'] })[] {
  const { element } = branch;
  if (element.is !== 'unknown switch') return [{ ...branch, element }];
  return closed ? [{ ...branch, element: { is: 'resistor', ohms: element.onOhms } }] : [];
}

/** Numbers every node that hangs together with those already numbered. */
function spread(branches: readonly { a: string; b: string }[], number: Map<string, number>): void {
  const neighbours = new Map<string, string[]>();
  for (const { a, b } of branches) {
    neighbours.set(a, [...(neighbours.get(a) ?? []), b]);
    neighbours.set(b, [...(neighbours.get(b) ?? []), a]);
  }
  const queue = [...number.keys()];
  for (let node = queue.pop(); node !== undefined; node = queue.pop()) {
    for (const next of neighbours.get(node) ?? []) {
      if (number.has(next)) continue;
      number.set(next, number.size);
      queue.push(next);
    }
  }
}
