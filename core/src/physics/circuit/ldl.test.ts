import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { Pattern } from './ldl';

/** Conductances of a net of resistors, as a circuit makes them: from micro- to kilosiemens. */
const nets = fc.integer({ min: 1, max: 12 }).chain((size) =>
  fc.record({
    size: fc.constant(size),
    links: fc.array(fc.tuple(fc.nat(size), fc.nat(size), fc.double({ min: -6, max: 3, noNaN: true })), {
      minLength: size,
      maxLength: 4 * size,
    }),
    right: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: size, maxLength: size }),
  }),
);

describe('symmetric equations', () => {
  it('are solved as a general solver does it', () => {
    fc.assert(
      fc.property(nets, ({ size, links, right }) => {
        const whole = Matrix.zeros(size, size);
        for (let node = 0; node < size; node++) whole.set(node, node, 1e-3);
        const add = (i: number, j: number, value: number) => whole.set(i, j, whole.get(i, j) + value);
        for (const [a, b, exponent] of links) {
          const [i, j, siemens] = [a - 1, b - 1, 10 ** exponent];
          if (i === j) continue;
          if (i >= 0) add(i, i, siemens);
          if (j >= 0) add(j, j, siemens);
          if (i >= 0 && j >= 0)
            for (const [p, q] of [
              [i, j],
              [j, i],
            ] as const)
              add(p, q, -siemens);
        }
        const mine = Float64Array.from(right);
        const pattern = new Pattern(
          size,
          links.flatMap(([a, b]) => (a > 0 && b > 0 ? [{ a: a - 1, b: b - 1 }] : [])),
        );
        const values = new Float64Array(pattern.entries);
        for (let node = 0; node < size; node++) values[node] = whole.get(node, node);
        for (const [a, b, place] of pattern.links()) values[place] = whole.get(a, b);
        pattern.factor(values);
        pattern.solve(values, mine);
        const theirs = solve(whole, Matrix.columnVector(right)).to1DArray();
        theirs.forEach((value, index) =>
          expect(mine[index]! / (1 + Math.abs(value))).toBeCloseTo(value / (1 + Math.abs(value)), 6),
        );
      }),
    );
  });
});
