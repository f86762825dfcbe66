import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { DiodeLaw } from './diode';
import { diodeOf } from './diode';

function diodeAt(law: DiodeLaw, volts: number) {
  const diode = diodeOf(law);
  const amps = diode.ampsAt(volts);
  return { amps, siemens: diode.siemensAt(amps) };
}

const nVt = 1.7 * 0.025852;

/** The volts across junction and resistance at a current, straight from Shockley's law. */
function voltsAt({ forwardV, atA, seriesOhms }: { forwardV: number; atA: number; seriesOhms: number }, amps: number) {
  const is = atA / Math.expm1((forwardV - atA * seriesOhms) / nVt);
  return nVt * Math.log1p(amps / is) + amps * seriesOhms;
}

const laws = fc.record({
  forwardV: fc.double({ min: 0.2, max: 2, noNaN: true }),
  atA: fc.constantFrom(0.001, 0.01),
  seriesOhms: fc.double({ min: 0.01, max: 10, noNaN: true }),
});

it('carries the current whose volts Shockley says, from a nanoampere to an ampere', () => {
  fc.assert(
    fc.property(laws, fc.double({ min: -9, max: 0, noNaN: true }), (law, decades) => {
      const amps = 10 ** decades;
      expect(Math.abs(diodeAt(law, voltsAt(law, amps)).amps - amps)).toBeLessThan(1e-5 * amps + 1e-13);
    }),
    { numRuns: 2000 },
  );
});

it('has the slope of its own current', () => {
  fc.assert(
    fc.property(laws, fc.double({ min: -1, max: 3, noNaN: true }), (law, volts) => {
      const step = 1e-5;
      const rise = (diodeAt(law, volts + step).amps - diodeAt(law, volts - step).amps) / (2 * step);
      expect(Math.abs(diodeAt(law, volts).siemens - rise)).toBeLessThan(1e-12 + rise * 1e-3);
    }),
    { numRuns: 1000 },
  );
});

it('is a junction alone without resistance, and goes on as a straight line far beyond what parts bear', () => {
  const law = { forwardV: 0.7, atA: 0.001, seriesOhms: 0 };
  expect(diodeAt(law, 0.7).amps).toBeCloseTo(0.001, 9);
  expect(diodeAt(law, -5).amps).toBeLessThan(0);
  expect(diodeAt(law, 60 * nVt + 1).siemens).toBeCloseTo(diodeAt(law, 60 * nVt + 2).siemens);
});
