/** A card learned from what a simulated meter answers is the card of that meter, as far as its resistors tell. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BenchTries } from './learnMeter';
import { learnMeter } from './learnMeter';

const e12 = [1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2];
const drawer = [1, 10, 100].flatMap((decade) => e12.map((value) => value * decade));
const farads = 470e-6;

interface True {
  thresholdOhms: number;
  /** Null: constant current. */
  seriesOhms: number | null;
  diodeA: number;
}

function triesOf({ thresholdOhms, seriesOhms, diodeA }: True): BenchTries {
  const toneS =
    seriesOhms === null ? farads * thresholdOhms : farads * seriesOhms * Math.log(1 + thresholdOhms / seriesOhms);
  return {
    tones: drawer.map((ohms) => ({ ohms, sounds: ohms < thresholdOhms })),
    diode: { readings: [220, 1000].map((ohms) => ({ ohms, volts: diodeA * ohms })), countsTo: 2 },
    capacitor: { farads, toneMs: toneS * 1000 },
  };
}

describe('a card', () => {
  it('has its threshold between two resistors, its series resistance from the capacitor, its current from volts', () => {
    const meters = fc.record({
      thresholdOhms: fc.double({ min: 12, max: 250, noNaN: true }),
      seriesOhms: fc.option(fc.double({ min: 100, max: 3000, noNaN: true })),
      diodeA: fc.double({ min: 2e-4, max: 1.5e-3, noNaN: true }),
    });
    fc.assert(
      fc.property(meters, (is) => {
        const learned = learnMeter(triesOf(is));
        if (learned.is !== 'card') throw new Error(learned.why);
        const { beepBelowOhms, spread, modes } = learned.card;
        expect(Math.abs(beepBelowOhms / is.thresholdOhms - 1)).toBeLessThan(0.13);
        expect(is.thresholdOhms).toBeGreaterThan(beepBelowOhms * (1 - spread) * 0.99);
        expect(is.thresholdOhms).toBeLessThan(beepBelowOhms * (1 + spread) * 1.01);
        expect(modes!.diode!.limitA / is.diodeA).toBeCloseTo(1, 1);
        expect(modes!.diode!.seriesOhms).toBeNull();
      }),
    );
  });

  it('knows a source behind a resistance from two readings', () => {
    const [limitV, seriesOhms] = [2.8, 2200];
    const readings = [330, 1500].map((ohms) => ({ ohms, volts: (limitV * ohms) / (seriesOhms + ohms) }));
    const learned = learnMeter({
      ...triesOf({ thresholdOhms: 40, seriesOhms: 1500, diodeA: 1 }),
      diode: { readings, countsTo: 2.4 },
    });
    expect(learned).toMatchObject({ is: 'card', card: { modes: { diode: { limitV: 2.8, seriesOhms: 2200 } } } });
  });

  it('has the series resistance that makes the capacitor sound so long', () => {
    const exact = { ...triesOf({ thresholdOhms: 40, seriesOhms: 60, diodeA: 1e-3 }) };
    const tones = [39.9, 40.1].map((ohms) => ({ ohms, sounds: ohms < 40 }));
    const learned = learnMeter({ ...exact, tones });
    if (learned.is !== 'card') throw new Error(learned.why);
    expect(learned.card.seriesOhms! / 60).toBeCloseTo(1, 1);
  });

  it.each<[string, Partial<BenchTries>]>([
    ['No resistor has sounded', { tones: [{ ohms: 100, sounds: false }] }],
    ['Every resistor has sounded', { tones: [{ ohms: 10, sounds: true }] }],
    [
      'one of them is not what it says',
      {
        tones: [
          { ohms: 47, sounds: true },
          { ohms: 33, sounds: false },
        ],
      },
    ],
    ['Two different resistors', { diode: { readings: [{ ohms: 220, volts: 0.2 }], countsTo: 2 } }],
  ])('is not there yet: %s', (why, over) => {
    const learned = learnMeter({ ...triesOf({ thresholdOhms: 40, seriesOhms: null, diodeA: 1e-3 }), ...over });
    expect(learned).toMatchObject({ is: 'not yet', why: expect.stringContaining(why) as unknown });
  });
});
