/** The fewest that meet all needs, against every choice there is. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fewest } from './fewest';

const one = fc.nat(7);
const row = fc.uniqueArray(one, { minLength: 1, maxLength: 4 });

it('takes as few as any choice that meets all', () => {
  fc.assert(
    fc.property(
      fc.array(row, { maxLength: 7 }),
      fc.uniqueArray(one, { maxLength: 2 }),
      fc.dictionary(fc.constantFrom(...'01234567'), row),
      (rows, always, stands) => {
        const standsOn = (which: number) => (stands[which] ? [stands[which]] : []);
        const isMet = (set: ReadonlySet<number>) =>
          always.every((which) => set.has(which)) &&
          [...rows, ...[...set].flatMap(standsOn)].every((needed) => needed.some((which) => set.has(which)));
        const all = Array.from(
          { length: 2 ** 8 },
          (_, bits) => new Set([...Array(8).keys()].filter((which) => (bits >> which) & 1)),
        );
        const least = Math.min(...all.filter(isMet).map(({ size }) => size));
        const found = fewest({ rows, always, standsOn });
        expect(isMet(found)).toBe(true);
        expect(found.size).toBe(least);
      },
    ),
  );
});

it('says when a need is met by nothing', () => {
  expect(() => fewest({ rows: [[]], always: [], standsOn: () => [] })).toThrow(RangeError);
});
