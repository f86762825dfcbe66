/**
 * Sparse symmetric positive definite equations: L D Lt without pivoting (Golub and Van Loan, 4.1). Where the factors
 * have something else than nought is found once for all matrices with links between the same nodes; nodes with few
 * neighbours are done first (minimum degree: George and Liu, SIAM Review 31, 1989).
 */

interface Link {
  a: number;
  b: number;
}

/** The matrix is kept as values: its diagonal by node, then what lies off it, each at its place. */
export class Pattern {
  /** Of all values. */
  readonly entries: number;
  /** Nodes as they are done. */
  private readonly order: Int32Array;
  /** The nodes below each one's pivot, one after the other, with their places; a node's own begin at `from`. */
  private readonly from: Int32Array;
  private readonly below: Int32Array;
  private readonly places: Int32Array;
  /** Where each product of two of them goes, in the order in which they are made. */
  private readonly into: Int32Array;
  private readonly placeOfPair = new Map<number, number>();
  /** Of each node the places of what links it with others. */
  private readonly beside: readonly number[][];

  constructor(
    readonly size: number,
    links: Iterable<Link>,
  ) {
    const beside = Array.from({ length: size }, () => new Set<number>());
    this.beside = Array.from({ length: size }, () => []);
    for (const { a, b } of links) {
      if (a === b) continue;
      beside[a]!.add(b);
      beside[b]!.add(a);
    }
    const [below, places, into]: [number[], number[], number[]] = [[], [], []];
    this.order = new Int32Array(size);
    this.from = new Int32Array(size + 1);
    let entries = size;
    const placeFor = (a: number, b: number): number => {
      if (a === b) return a;
      const pair = this.pair(a, b);
      const known = this.placeOfPair.get(pair);
      if (known !== undefined) return known;
      this.placeOfPair.set(pair, entries);
      for (const node of [a, b]) this.beside[node]!.push(entries);
      return entries++;
    };
    const left = new Set(beside.keys());
    for (let step = 0; step < size; step++) {
      const node = withFewest(left, beside);
      left.delete(node);
      const own = [...beside[node]!];
      own.forEach((one, index) => {
        below.push(one);
        places.push(placeFor(node, one));
        beside[one]!.delete(node);
        for (let other = 0; other <= index; other++) {
          into.push(placeFor(one, own[other]!));
          if (other === index) continue;
          beside[one]!.add(own[other]!);
          beside[own[other]!]!.add(one);
        }
      });
      this.order[step] = node;
      this.from[step + 1] = below.length;
    }
    this.entries = entries;
    this.below = Int32Array.from(below);
    this.places = Int32Array.from(places);
    this.into = Int32Array.from(into);
  }

  /** Where what links two nodes is kept. @throws {RangeError} If nothing was said to link them. */
  placeOf(a: number, b: number): number {
    const place = this.placeOfPair.get(this.pair(a, b));
    if (place === undefined) throw new RangeError(`nothing links ${a} and ${b}`);
    return place;
  }

  /** What lies off the diagonal: its nodes and its place. */
  *links(): Iterable<readonly [a: number, b: number, place: number]> {
    for (const [pair, place] of this.placeOfPair) yield [Math.floor(pair / this.size), pair % this.size, place];
  }

  /** Makes a node nought whatever the others are. */
  leaveOut(values: Float64Array, node: number): void {
    for (const place of this.beside[node]!) values[place] = 0;
    values[node] = 1;
  }

  /** @param values The matrix; becomes the factors. */
  factor(values: Float64Array): void {
    const { size, order, from, places, into } = this;
    let product = 0;
    for (let step = 0; step < size; step++) {
      const pivot = values[order[step]!]!;
      const [first, past] = [from[step]!, from[step + 1]!];
      for (let one = first; one < past; one++) {
        const factor = values[places[one]!]! / pivot;
        for (let other = first; other <= one; other++) values[into[product++]!]! -= factor * values[places[other]!]!;
      }
      for (let one = first; one < past; one++) values[places[one]!]! /= pivot;
    }
  }

  /** @param right By node; becomes the solution. */
  solve(factors: Float64Array, right: Float64Array): void {
    const { size, order, from, below, places } = this;
    for (let step = 0; step < size; step++) {
      const value = right[order[step]!]!;
      if (value === 0) continue;
      for (let one = from[step]!; one < from[step + 1]!; one++) right[below[one]!]! -= factors[places[one]!]! * value;
    }
    for (let step = size - 1; step >= 0; step--) {
      const node = order[step]!;
      let value = right[node]! / factors[node]!;
      for (let one = from[step]!; one < from[step + 1]!; one++) value -= factors[places[one]!]! * right[below[one]!]!;
      right[node] = value;
    }
  }

  private pair(a: number, b: number): number {
    return a < b ? a * this.size + b : b * this.size + a;
  }
}

function withFewest(left: ReadonlySet<number>, beside: readonly ReadonlySet<number>[]): number {
  let found = -1;
  let fewest = Infinity;
  for (const node of left) {
    const { size } = beside[node]!;
    if (size >= fewest) continue;
    [found, fewest] = [node, size];
    if (size <= 1) break;
  }
  return found;
}
