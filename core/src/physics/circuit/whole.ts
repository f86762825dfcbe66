/** A circuit once all has settled, made ready to be asked between many pairs of its pieces of copper. */
import { joinedUp } from './joinedUp';
import type { Melted } from './melt';
import type { Inner, PortCircuit } from './port';

export class WholeCircuit {
  /** The piece of copper that each node is. */
  readonly pieces: readonly number[];
  private readonly branches: readonly Inner[];
  /** By piece; -1 where nothing hangs on it. */
  private readonly nodeOf: Int32Array;
  private readonly hangsWith: (node: number) => number;

  constructor({ inners, pieces: count }: Pick<Melted, 'inners' | 'pieces'>) {
    const pieces: number[] = [];
    this.nodeOf = new Int32Array(count).fill(-1);
    for (const { a, b } of inners)
      for (const piece of [a, b]) if (this.nodeOf[piece] === -1) this.nodeOf[piece] = pieces.push(piece) - 1;
    this.pieces = pieces;
    this.branches = inners.map((inner) => ({ ...inner, a: this.nodeOf[inner.a]!, b: this.nodeOf[inner.b]! }));
    this.hangsWith = joinedUp(pieces.length, this.branches);
  }

  /** Whether a current could find a way from one piece of copper to the other. */
  hangTogether(one: number, other: number): boolean {
    const [a, b] = [this.nodeOf[one]!, this.nodeOf[other]!];
    return one === other || (a >= 0 && b >= 0 && this.hangsWith(a) === this.hangsWith(b));
  }

  /** The circuit with the probes on two pieces of copper; null where nothing can flow between them. */
  between(black: number, red: number): PortCircuit | null {
    if (!this.hangTogether(black, red)) return null;
    const { branches, nodeOf, pieces } = this;
    return { size: pieces.length, black: nodeOf[black]!, red: nodeOf[red]!, branches };
  }
}
