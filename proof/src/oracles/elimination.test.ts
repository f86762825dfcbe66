/** Networks of conductances solved twice: by elimination with fewest neighbours first, and by dense LU. */
import { Matrix, solve } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { Elimination } from './elimination';

function draw(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

describe('elimination', () => {
  it.each([1, 2, 3, 4, 5])('solves as dense LU does (network %i)', (seed) => {
    const next = draw(seed);
    const size = 30;
    const pairs = Array.from({ length: 60 }, () => [Math.floor(next() * size), Math.floor(next() * size)] as const);
    const between = pairs.filter(([i, j]) => i !== j);
    const equations = new Elimination(size, between);
    const dense = Matrix.zeros(size, size);
    equations.diagonal.fill(1e-9);
    for (let i = 0; i < size; i++) dense.set(i, i, 1e-9);
    const stamp = (i: number, j: number, siemens: number) => {
      for (const end of [i, j]) {
        equations.diagonal[end]! += siemens;
        dense.set(end, end, dense.get(end, end) + siemens);
      }
      equations.beside[equations.placeOf(i, j)]! -= siemens;
      dense.set(i, j, dense.get(i, j) - siemens);
      dense.set(j, i, dense.get(j, i) - siemens);
    };
    for (const [i, j] of between) stamp(i, j, 10 ** (6 * next() - 5));
    for (let i = 0; i < size; i += 7) {
      equations.diagonal[i]! += 1;
      dense.set(i, i, dense.get(i, i) + 1);
    }
    const right = Array.from({ length: size }, () => next());
    equations.right.set(right);
    const volts = solve(dense, Matrix.columnVector(right)).to1DArray();
    const scale = Math.max(...volts.map(Math.abs));
    [...equations.solved()].forEach((value, place) =>
      expect(Math.abs(value - volts[place]!)).toBeLessThan(1e-6 * scale),
    );
  });
});
