/**
 * A circuit once all has settled, made ready to be asked between many pairs of its pieces of copper. Of twins no more
 * than three nodes are kept: one for each probe that may be on one of them, and one for all others.
 */
import { joinedUp } from './joinedUp';
import type { Melted } from './melt';
import type { Inner, PortCircuit } from './port';
import type { SideBySide } from './sideBySide';
import { twinsIn } from './twins';

/** The circuit with the probes on two pieces of copper. */
export interface Between {
  /** With its probes on the same nodes for all pairs of pieces that make the same of it. */
  port: PortCircuit;
  /** Of each node a piece of copper that has its volts. */
  pieces: Int32Array;
  /** The node that has the volts of a piece of copper. */
  nodeOf: (piece: number) => number;
}

/** Two probes, and what they are not on. */
const mostTwins = 3;

export class WholeCircuit {
  /** All pieces of copper that something hangs on. */
  readonly pieces: readonly number[];
  private readonly branches: readonly Inner[];
  /** The piece that is each node; probes that are on twins aside. */
  private readonly nodes: Int32Array;
  /** By piece; -1 where nothing hangs on it. */
  private readonly nodeOf: Int32Array;
  private readonly twins = new Map<number, readonly number[]>();
  private readonly hangsWith: (node: number) => number;

  constructor({ inners, pieces: count }: Pick<Melted, 'inners' | 'pieces'>, like: SideBySide) {
    const once = like.of(inners);
    const keptFor = this.keepTwins(once, like, count);
    const branches = like.of(once.map((inner) => ({ ...inner, a: keptFor[inner.a]!, b: keptFor[inner.b]! })));
    const nodes: number[] = [];
    this.nodeOf = new Int32Array(count).fill(-1);
    const pieces = new Set<number>();
    for (const { a, b } of once)
      for (const piece of [a, b]) {
        const kept = keptFor[piece]!;
        if (this.nodeOf[kept] === -1) this.nodeOf[kept] = nodes.push(kept) - 1;
        this.nodeOf[piece] = this.nodeOf[kept]!;
        pieces.add(piece);
      }
    this.pieces = [...pieces];
    this.nodes = Int32Array.from(nodes);
    this.branches = branches.map((inner) => ({ ...inner, a: this.nodeOf[inner.a]!, b: this.nodeOf[inner.b]! }));
    this.hangsWith = joinedUp(nodes.length, this.branches);
  }

  /** Whether a current could find a way from one piece of copper to the other. */
  hangTogether(one: number, other: number): boolean {
    const [a, b] = [this.nodeOf[one]!, this.nodeOf[other]!];
    return one === other || (a >= 0 && b >= 0 && this.hangsWith(a) === this.hangsWith(b));
  }

  /** Null where nothing can flow between them. */
  between(black: number, red: number): Between | null {
    if (!this.hangTogether(black, red)) return null;
    const pieces = this.nodes.slice();
    const moved = new Map<number, number>();
    const like = this.twins.get(black);
    const probes = like && like === this.twins.get(red) ? [[black, red]] : [[black], [red]];
    for (const first of probes) {
      const twins = this.twins.get(first[0]!);
      if (!twins) continue;
      const inTurn = [...first, ...twins.filter((piece) => !first.includes(piece))];
      const kept = twins.slice(0, mostTwins).map((piece) => this.nodeOf[piece]!);
      inTurn.forEach((piece, place) => moved.set(piece, kept[Math.min(place, kept.length - 1)]!));
      kept.forEach((node, place) => (pieces[node] = inTurn[place]!));
    }
    const nodeOf = (piece: number) => moved.get(piece) ?? this.nodeOf[piece]!;
    const port = { size: this.nodes.length, black: nodeOf(black), red: nodeOf(red), branches: this.branches };
    return { port, pieces, nodeOf };
  }

  /** By piece the one that is kept for it. */
  private keepTwins(inners: readonly Inner[], like: SideBySide, count: number): Int32Array {
    const keptFor = Int32Array.from({ length: count }, (_, piece) => piece);
    for (const twins of twinsIn(inners, like.kindOf))
      twins.forEach((piece, place) => {
        this.twins.set(piece, twins);
        keptFor[piece] = twins[Math.min(place, mostTwins - 1)]!;
      });
    return keptFor;
  }
}
