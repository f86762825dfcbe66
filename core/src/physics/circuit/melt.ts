/**
 * A circuit with its copper melted, and what an edit makes of it: a joint that opens, metal that touches. Names become
 * numbers once, so that some hundred edits of one circuit cost little.
 */
import type { Branch, Circuit } from './compile';
import type { PortCircuit } from './reduce';
import { conductorBelowOhms } from './reduce';
import { joinedUp } from './joinedUp';

/** A branch that is gone, or two nodes that are joined. */
export type Edit = { cut: string } | { bridge: readonly [a: string, b: string]; ohms: number };

interface Inner {
  id: string;
  a: number;
  b: number;
  element: PortCircuit['branches'][number]['element'];
}

export interface Melted {
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

/** @param switchesClosed What the switches of unknown state are taken for. */
export function meltable({ nodes, branches }: Circuit, switchesClosed: boolean): Meltable {
  const number = new Map(nodes.map((node, index) => [node, index]));
  const numbered = branches
    .flatMap((branch) => asResistor(branch, switchesClosed))
    .map((branch) => ({
      ...branch,
      a: number.get(branch.a)!,
      b: number.get(branch.b)!,
    }));
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
      const left = [...numbered.filter(({ id }) => !cut.has(id)), ...bridges];
      const find = joinedUp(nodes.length, left.filter(isCopper));
      const inners = left
        .filter((inner) => !isCopper(inner))
        .map(({ id, a, b, element }) => ({ id, a: find(a), b: find(b), element }))
        .filter(({ a, b }) => a !== b);
      return { pieceOf: (node) => find(number.get(node)!), pieceUnder: find, inners };
    },
  };
}

function isCopper({ element }: Inner): boolean {
  return element.is === 'resistor' && element.ohms < conductorBelowOhms;
}

function asResistor(branch: Branch, closed: boolean): (Omit<Branch, 'element'> & Pick<Inner, 'element'>)[] {
  const { element } = branch;
  if (element.is !== 'unknown switch') return [{ ...branch, element }];
  return closed ? [{ ...branch, element: { is: 'resistor', ohms: element.onOhms } }] : [];
}

/** A port with the piece of copper that each of its nodes is. */
interface PiecedPort extends PortCircuit {
  pieces: readonly number[];
}

/** What lies between two pieces of copper and can carry a current from one to the other; null when they are one. */
export function portBetween({ inners }: Pick<Melted, 'inners'>, black: number, red: number): PiecedPort | null {
  if (black === red) return null;
  const live = withoutDeadEnds(inners, [black, red]);
  const number = new Map([
    [black, 0],
    [red, 1],
  ]);
  for (const { a, b } of live) for (const end of [a, b]) if (!number.has(end)) number.set(end, number.size);
  return {
    size: number.size,
    black: 0,
    red: 1,
    pieces: [...number.keys()],
    branches: live.map(({ id, a, b, element }) => ({ id, a: number.get(a)!, b: number.get(b)!, element })),
  };
}

/** Nothing flows into what hangs on one piece of copper alone. */
function withoutDeadEnds(inners: readonly Inner[], probes: readonly number[]): readonly Inner[] {
  let left = inners;
  for (;;) {
    const uses = new Map<number, number>();
    for (const { a, b } of left) {
      uses.set(a, (uses.get(a) ?? 0) + 1);
      uses.set(b, (uses.get(b) ?? 0) + 1);
    }
    const isDead = (end: number) => uses.get(end) === 1 && !probes.includes(end);
    const next = left.filter(({ a, b }) => !isDead(a) && !isDead(b));
    if (next.length === left.length) return hangingOn(next, probes);
    left = next;
  }
}

/** Only what hangs together with the probes. */
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
