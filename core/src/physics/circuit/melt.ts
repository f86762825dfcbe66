/**
 * A circuit with its copper melted, and what an edit makes of it: a joint that opens, metal that touches. Names become
 * numbers once, so that some hundred edits of one circuit cost little.
 */
import type { Branch, Circuit } from './compile';
import type { Inner } from './port';
import { conductorBelowOhms } from './port';
import { joinedUp } from './joinedUp';

/** A branch that is gone, or two nodes that are joined. */
export type Edit = { cut: string } | { bridge: readonly [a: string, b: string]; ohms: number };

export interface Melted {
  /** All pieces of copper have numbers below this. */
  pieces: number;
  /** The piece of copper that a node is on. */
  pieceOf(node: string): number;
  /** The piece of this circuit on which a piece of another edit of it lies, for the most part. */
  pieceUnder(piece: number): number;
  inners: readonly Inner[];
}

export interface Meltable {
  /** Nodes in the order of their numbers. */
  nodes: readonly string[];
  melted(edits: readonly Edit[]): Melted;
}

interface Taken {
  /** What the switches of unknown state are taken for. */
  switchesClosed: boolean;
  /** Resistors below this become plain copper: 0 keeps all (needed to measure ohms). */
  belowOhms?: number;
}

export function meltable(
  { nodes, branches }: Circuit,
  { switchesClosed, belowOhms = conductorBelowOhms }: Taken,
): Meltable {
  const isCopper = ({ element }: Inner) => element.is === 'resistor' && element.ohms < belowOhms;
  const number = new Map(nodes.map((node, index) => [node, index]));
  const numbered = branches
    .flatMap((branch) => withoutUnknown(branch, switchesClosed))
    .map((branch) => ({
      ...branch,
      a: number.get(branch.a)!,
      b: number.get(branch.b)!,
    }));
  const copper = new Set(numbered.filter(isCopper));
  const coppers = new Set([...copper].map(({ id }) => id));
  const others = numbered.filter((branch) => !copper.has(branch));
  const whole = joinedUp(nodes.length, [...copper]);
  return {
    nodes,
    melted: (edits) => {
      const cut = new Set(edits.flatMap((edit) => ('cut' in edit ? [edit.cut] : [])));
      const bridges = edits.flatMap((edit): Inner[] =>
        'cut' in edit
          ? []
          : [
              {
                id: `bridge ${edit.bridge.join(' ')}`,
                a: number.get(edit.bridge[0])!,
                b: number.get(edit.bridge[1])!,
                element: { is: 'resistor', ohms: edit.ohms },
              },
            ],
      );
      const isAsBefore = ![...cut].some((id) => coppers.has(id));
      const left = isAsBefore ? [] : [...copper].filter(({ id }) => !cut.has(id));
      const joins = [...left, ...bridges.filter(isCopper)];
      const find = joinedUp(nodes.length, joins, isAsBefore ? whole : undefined);
      const inners = [...others.filter(({ id }) => !cut.has(id)), ...bridges.filter((bridge) => !isCopper(bridge))]
        .map(({ id, a, b, element }) => ({ id, a: find(a), b: find(b), element }))
        .filter(({ a, b }) => a !== b);
      return { pieces: nodes.length, pieceOf: (node) => find(number.get(node)!), pieceUnder: find, inners };
    },
  };
}

function withoutUnknown(branch: Branch, closed: boolean): (Omit<Branch, 'element'> & Pick<Inner, 'element'>)[] {
  const { element } = branch;
  if (element.is !== 'unknown switch') return [{ ...branch, element }];
  return closed ? [{ ...branch, element: { is: 'resistor', ohms: element.onOhms } }] : [];
}
