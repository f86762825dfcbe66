/** The faults that are put in by hand: each family exists somewhere, and the harm is what the trade says it is. */
import { shippedMeters, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { makeCatalogue } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import type { Injected } from '../oracles/injector/aircraft';
import { families } from '../oracles/injector/families';
import { inject } from '../oracles/injector/inject';
import { TrueMeter } from '../oracles/trueMeter';

const catalogue = makeCatalogue(shippedModels());
const meter = { id: 'meter', ...shippedMeters[0]! };
const buildOf = (id: string) => shippedTemplates().find((one) => one.id === id)!.plan.target;
const [serial, culvert] = [buildOf('quad-serial-6s'), buildOf('quad-culvert-4s')];
const faults = inject(serial, catalogue);

function of(family: string): readonly Injected[] {
  return faults.filter((one) => one.family === family);
}

describe('a fault that is put in', () => {
  const all = shippedTemplates().flatMap(({ plan }) => inject(plan.target, catalogue));

  it.each(families.map(({ says }) => says))('"%s" befalls one of the shipped aircraft', (says) => {
    expect(all.some(({ family }) => family === says)).toBe(true);
  });

  it('is the only one of its kind at its place', () => {
    // Two wires on one pad chafe through at one place.
    const chafed = (family: string) => family === 'insulation chafed through on the frame';
    const others = faults.filter(({ family }) => !chafed(family));
    const names = others.map(
      ({ family, what, aircraft }) => `${family} ${what} ${JSON.stringify(aircraft.build.mates)}`,
    );
    expect(new Set(names).size).toBe(names.length);
  });

  it.each(['screw in a winding', 'battery on a signal pad', 'capacitor reversed'])('"%s" kills', (family) => {
    expect([...new Set(of(family).map(({ harm }) => harm))]).toEqual(['kill']);
  });

  it('that opens a leg of the capacitor is a capacitor that is missing', () => {
    const legs = faults.filter(({ family, what }) => family === 'joint open' && what.includes('wire CAP'));
    expect(legs.map(({ harm }) => harm)).toEqual(['warn', 'warn']);
  });

  it('that takes the only ground of a unit fed with the pack kills, of a receiver stops', () => {
    const opened = inject(culvert, catalogue).filter(({ family }) => family === 'contact pushed back');
    expect(opened.some(({ harm }) => harm === 'kill')).toBe(true);
    expect(faults.filter(({ family }) => family === 'contact pushed back').every(({ harm }) => harm === 'stop')).toBe(
      true,
    );
  });
});

describe('a transistor that has failed short', () => {
  const [fault] = faults.filter(
    ({ family, what, harm }) =>
      family === 'inside failed' && harm === 'kill' && /short$/.test(what) && what.startsWith('ESC'),
  );
  const { bridges, broken, build } = fault!.aircraft;
  const truth = (isBad: boolean) => new TrueMeter({ build, catalogue, meter, ...(isBad ? { bridges, broken } : {}) });

  it('takes one of two junctions away between the main leads, reversed', () => {
    const [minus, plus] = ['BAT.MINUS', 'BAT.PLUS'] as const;
    const source = meter.modes?.diode ?? meter;
    const [good, bad] = [false, true].map((isBad) => truth(isBad).settledV(plus, minus, source));
    expect(bad!).toBeLessThan(good! - 0.2);
  });
});
