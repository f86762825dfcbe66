import fc from 'fast-check';
import { expect, it } from 'vitest';
import { screwLengthMm, sleeveFor, solderG, wireDiameterMm } from './amounts';

const awg = fc.integer({ min: 8, max: 30 });

it('thicker wires are thicker', () => {
  fc.assert(fc.property(awg, awg, (a, b) => a >= b || wireDiameterMm(a) >= wireDiameterMm(b)));
  expect([wireDiameterMm(28), wireDiameterMm(20), wireDiameterMm(12)]).toEqual([1.2, 1.8, 4.5]);
});

it('a sleeve goes over its bundle and is no wider than three times it', () => {
  fc.assert(
    fc.property(fc.array(awg, { minLength: 1, maxLength: 6 }), (wires) => {
      const round = Math.sqrt(wires.reduce((sum, wire) => sum + wireDiameterMm(wire) ** 2, 0));
      const sleeve = sleeveFor(wires);
      return (sleeve >= round || sleeve === 20) && sleeve <= 3 * round + 1;
    }),
  );
});

it('a joint takes more solder on a larger pad and with a thicker wire; a signal pad takes milligrams', () => {
  expect(solderG([1.2, 1.9], 28)).toBeGreaterThan(0.005);
  expect(solderG([1.2, 1.9], 28)).toBeLessThan(0.05);
  expect(solderG([7, 6], 12)).toBeGreaterThan(solderG([4, 4], 12));
  expect(solderG([4, 4], 12)).toBeGreaterThan(solderG([4, 4], 28));
});

it('a screw goes through and into, and the next shorter one would not', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 25 }),
      fc.integer({ min: 2, max: 8 }),
      (through, into) => screwLengthMm(through, into) >= through + into,
    ),
  );
  expect(screwLengthMm(4, 4)).toBe(8);
});
