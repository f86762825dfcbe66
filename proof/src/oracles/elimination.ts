/**
 * Gauss's elimination of symmetric equations most of whose coefficients are 0, the unknown with fewest neighbours
 * first, without pivoting: for networks of conductances, in which the diagonal outweighs the rest.
 */
export class Elimination {
  readonly diagonal: Float64Array;
  readonly right: Float64Array;
  /** Coefficients beside the diagonal: each pair of unknowns once. */
  readonly beside: Float64Array;
  private readonly places = new Map<number, number>();
  private readonly steps: { pivot: number; others: Int32Array; own: Int32Array; products: Int32Array }[] = [];

  /** @param pairs Unknowns that stand in one equation. */
  constructor(
    private readonly size: number,
    pairs: readonly (readonly [number, number])[],
  ) {
    const neighbours = Array.from({ length: size }, () => new Set<number>());
    const meet = (i: number, j: number) => {
      neighbours[i]!.add(j);
      neighbours[j]!.add(i);
    };
    for (const [i, j] of pairs) meet(i, j);
    const left = new Set(neighbours.keys());
    while (left.size > 0) {
      let pivot = -1;
      for (const one of left) if (pivot < 0 || neighbours[one]!.size < neighbours[pivot]!.size) pivot = one;
      left.delete(pivot);
      const others = [...neighbours[pivot]!];
      for (const other of others) neighbours[other]!.delete(pivot);
      const own = others.map((other) => this.placeOf(pivot, other));
      const products: number[] = [];
      others.forEach((a, index) => {
        for (const b of others.slice(index + 1)) {
          meet(a, b);
          products.push(this.placeOf(a, b));
        }
      });
      this.steps.push({
        pivot,
        others: Int32Array.from(others),
        own: Int32Array.from(own),
        products: Int32Array.from(products),
      });
    }
    this.diagonal = new Float64Array(size);
    this.right = new Float64Array(size);
    this.beside = new Float64Array(this.places.size);
  }

  /** Where the coefficient of two unknowns lies in `beside`. */
  placeOf(i: number, j: number): number {
    const key = Math.min(i, j) * this.size + Math.max(i, j);
    const known = this.places.get(key);
    if (known !== undefined) return known;
    this.places.set(key, this.places.size);
    return this.places.size - 1;
  }

  /** Uses up the coefficients and the right side. */
  solved(): Float64Array {
    const { diagonal, right, beside, steps } = this;
    for (const { pivot, others, own, products } of steps) {
      let next = 0;
      for (let a = 0; a < others.length; a++) {
        const share = beside[own[a]!]! / diagonal[pivot]!;
        diagonal[others[a]!]! -= share * beside[own[a]!]!;
        right[others[a]!]! -= share * right[pivot]!;
        for (let b = a + 1; b < others.length; b++) beside[products[next++]!]! -= share * beside[own[b]!]!;
      }
    }
    for (const { pivot, others, own } of steps.toReversed()) {
      let rest = right[pivot]!;
      for (let a = 0; a < others.length; a++) rest -= beside[own[a]!]! * right[others[a]!]!;
      right[pivot] = rest / diagonal[pivot]!;
    }
    return right.slice();
  }
}
