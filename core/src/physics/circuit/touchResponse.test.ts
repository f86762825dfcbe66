import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meter } from '../../testing/fixtures';
import { hasNgspice, spiceTouch } from '../../testing/ngspice';
import type { Branch, Circuit } from './compile';
import { reduceToPort } from './reduce';
import { relax, touchResponse } from './touchResponse';

const site = { slot: 'X' };

/** A circuit over nodes "b" (black), "r" (red) and others. */
function circuit(...branches: readonly Omit<Branch, 'site' | 'id'>[]): Circuit {
  const all = branches.map((branch, index): Branch => ({ ...branch, id: `e${index}`, site }));
  return { nodes: [...new Set(['b', 'r', ...all.flatMap(({ a, b }) => [a, b])])], branches: all, unshown: [], at: {} };
}
const resistor = (a: string, b: string, ohms: number) => ({ a, b, element: { is: 'resistor', ohms } as const });
const capacitor = (a: string, b: string, farads: number, esrOhms = 0.03) => ({
  a,
  b,
  element: { is: 'capacitor', farads, esrOhms } as const,
});
const diode = (a: string, b: string, forwardV: number) => ({
  a,
  b,
  element: { is: 'diode', forwardV, atA: 0.001, seriesOhms: 0.5 } as const,
});
const port = (of: Circuit) => reduceToPort(of, { blackNode: 'b', redNode: 'r' }, 0, false);

describe('the charging law', () => {
  /** tau * ln((Vinf + V1) / (Vinf - Vt)) for a capacitor with a resistance across it. */
  function closedForm(farads: number, ohms: number, chargeV: number): number {
    const { limitV, stopsAboveOhms } = meter;
    const rs = meter.seriesOhms!;
    const vinf = (limitV * ohms) / (rs + ohms);
    const tau = (farads * rs * ohms) / (rs + ohms);
    const vt = (limitV * stopsAboveOhms) / (rs + stopsAboveOhms);
    return tau * Math.log((vinf - chargeV) / (vinf - vt));
  }

  it('gives the length of a tone from empty and from the other way round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2e-5, max: 3e-3, noNaN: true }),
        fc.double({ min: 500, max: 50_000, noNaN: true }),
        fc.double({ min: -1, max: 0, noNaN: true }),
        (farads, ohms, start) => {
          const of = port(circuit(capacitor('r', 'b', farads, 0.001), resistor('r', 'b', ohms)));
          const chargeV = (start * meter.limitV * ohms) / (meter.seriesOhms! + ohms);
          const { toneS } = touchResponse(of, meter, { e0: chargeV }, { heldS: 0, watchS: 200 });
          expect(toneS / closedForm(farads, ohms, chargeV)).toBeGreaterThan(0.95);
          expect(toneS / closedForm(farads, ohms, chargeV)).toBeLessThan(1.05);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps the charge that a held touch leaves, and lets it leak in a pause', () => {
    const of = port(circuit(capacitor('r', 'b', 680e-6), resistor('r', 'b', 10_000)));
    const { chargeAfterV } = touchResponse(of, meter, {}, { heldS: 2, watchS: 0 });
    const [vinf, tau] = [(1.5 * 10_000) / 11_500, (680e-6 * 1500 * 10_000) / 11_500];
    expect(chargeAfterV.e0).toBeCloseTo(vinf * (1 - Math.exp(-2 / tau)), 2);
    expect(relax(of, chargeAfterV, 3).e0).toBeCloseTo(chargeAfterV.e0! * Math.exp(-3 / (680e-6 * 10_000)), 2);
  });
});

it('never stops on a conductor and stays silent on an open circuit', () => {
  expect(touchResponse(port(circuit(resistor('r', 'b', 5))), meter, {}, { heldS: 0, watchS: 25 }).toneS).toBe(Infinity);
  expect(touchResponse(port(circuit(resistor('r', 'b', 500))), meter, {}, { heldS: 0, watchS: 25 }).toneS).toBe(0);
  expect(touchResponse(port(circuit(resistor('r', 'x', 1))), meter, {}, { heldS: 0, watchS: 25 }).toneS).toBe(0);
});

it('reads a diode one way and nothing the other', () => {
  const forward = touchResponse(port(circuit(diode('r', 'b', 0.52))), meter, {}, { heldS: 0, watchS: 0 }).settledV;
  const back = touchResponse(port(circuit(diode('b', 'r', 0.52))), meter, {}, { heldS: 0, watchS: 0 }).settledV;
  expect(forward).toBeGreaterThan(0.45);
  expect(forward).toBeLessThan(0.56);
  expect(back).toBeCloseTo(meter.limitV, 3);
});

it('stays silent while a capacitor opposes it, if the meter is of that kind', () => {
  const of = port(circuit(capacitor('r', 'b', 680e-6), resistor('r', 'b', 10_000)));
  expect(touchResponse(of, { ...meter, beepsOnReverse: false }, { e0: -1 }, { heldS: 0, watchS: 25 }).toneS).toBe(0);
  expect(touchResponse(of, meter, { e0: -1 }, { heldS: 0, watchS: 25 }).toneS).toBeGreaterThan(0.4);
});

describe.skipIf(!hasNgspice())('against ngspice', () => {
  const board = circuit(
    capacitor('r', 'b', 7.7e-4),
    resistor('r', 'b', 14_000),
    diode('v5', 'r', 0.55),
    capacitor('v5', 'b', 6.8e-5),
    resistor('v5', 'b', 1300),
    diode('b', 'p', 0.52),
    diode('p', 'r', 0.52),
    resistor('p', 'b', 22_000),
  );

  it.each([
    ['main leads, red on +', 'b', 'r', {}],
    ['main leads, exchanged after a touch', 'r', 'b', { e0: 1.2 }],
    ['a rail behind a regulator', 'b', 'v5', {}],
    ['a phase', 'b', 'p', {}],
    ['a phase, red on ground', 'p', 'b', {}],
  ])('%s', (_what, black, red, charge) => {
    const mine = touchResponse(reduceToPort(board, { blackNode: black, redNode: red }, 0, false), meter, charge, {
      heldS: 2,
      watchS: 25,
    });
    const theirs = spiceTouch(board, { black, red }, meter, { chargeV: charge, runS: 2 });
    if (theirs.toneS !== null && theirs.toneS > 0.001) expect(mine.toneS / theirs.toneS).toBeCloseTo(1, 1);
    for (const [id, volts] of Object.entries(theirs.chargeV)) expect(mine.chargeAfterV[id]).toBeCloseTo(volts, 1);
  });
});
