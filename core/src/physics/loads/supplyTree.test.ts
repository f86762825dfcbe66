import { describe, expect, it } from 'vitest';
import type { Element } from '../../facts/catalogue/partModel';
import { benchParts, benchSlots, buildOf, goodWires } from '../../testing/fixtures';
import { giving, supplyTree } from './supplyTree';
import { assemble } from '../../facts/assembly/assembly';

const load = (
  id: string,
  plus: string,
  amps: number,
  over: Partial<Extract<Element, { is: 'load' }>> = {},
): Element => ({
  id,
  fails: [],
  is: 'load',
  plus,
  minus: 'G',
  offOhms: 1000,
  idleA: amps / 2,
  typicalA: amps,
  peakA: amps * 2,
  constant: 'current',
  wakesAtV: 2,
  liveOnUsb: false,
  ...over,
});
const linear: Element = {
  id: 'LOW',
  fails: [],
  is: 'regulator',
  kindOf: 'linear',
  input: '5V',
  output: 'X33',
  ground: 'G',
  enable: 'always',
  outV: 3.3,
  minInV: 3.8,
  limitA: 0.5,
  stillAirA: 0.3,
  efficiency: 0.66,
  idleA: 0.002,
  offOhms: 900,
  backDiodeV: null,
};
const catalogue = benchParts([linear, load('CPU', 'X33', 0.2, { liveOnUsb: true }), load('FRONT', 'VB', 0.05)]);
const build = buildOf(benchSlots, goodWires());
const tree = supplyTree(assemble(build, catalogue), [4, 6]);
const rail = (id: string) => tree.rails.find((found) => found.id === id)!;

describe('the supply tree', () => {
  it('hangs regulators on what feeds them, parents first', () => {
    expect(tree.rails.map(({ id, parent }) => [id, parent])).toEqual([
      ['battery', null],
      ['FC/REG', 'battery'],
      ['FC/LOW', 'FC/REG'],
    ]);
    expect(rail('battery').volts[0]).toBe(12);
    expect(rail('battery').volts[1]).toBeCloseTo(25.2, 12);
  });

  it('adds cascades up: a linear passes its current on, a step-down its power, most at the empty pack', () => {
    expect(rail('FC/LOW').out.empty.typical).toBeCloseTo(0.2, 12);
    expect(rail('FC/LOW').in.empty.typical).toBeCloseTo(0.202, 12);
    expect(rail('FC/REG').out.empty.typical).toBeCloseTo(0.202, 12);
    expect(rail('FC/REG').in.empty.typical).toBeCloseTo((5 * 0.202) / (0.9 * 12) + 0.01, 12);
    expect(rail('FC/REG').in.full.typical).toBeCloseTo((5 * 0.202) / (0.9 * 25.2) + 0.01, 12);
    expect(rail('battery').out.empty.typical).toBeCloseTo(0.05 + rail('FC/REG').in.empty.typical, 12);
  });

  it('says how warm a regulator gets: the drop of a linear, the loss of a step-down', () => {
    expect(rail('FC/LOW').heatW).toBeCloseTo((5 - 3.3) * 0.2, 12);
    expect(rail('FC/REG').heatW).toBeCloseTo(5 * 0.202 * (1 / 0.9 - 1), 12);
  });

  it('draws more with constant power when the rail sags, and only what lives on USB there', () => {
    const heavy = supplyTree(assemble(build, benchParts([load('RADIO', 'VB', 1, { constant: 'power' })])), [4, 6]);
    const nominal = (12 + 25.2) / 2;
    expect(heavy.rails[0]!.out.empty.typical - heavy.rails[1]!.in.empty.typical).toBeCloseTo(nominal / 12, 12);
    expect(tree.usb.typical).toBeCloseTo(0.2, 12);
    expect(supplyTree(assemble(build, catalogue), [4, 6], 'off').rails[0]!.draws).toEqual([]);
    expect(
      supplyTree(assemble(build, catalogue), [4, 6], 'usb').rails.flatMap(({ draws }) =>
        draws.map(({ load: name }) => name),
      ),
    ).toEqual(['CPU']);
  });

  it('lets a step-down pass what is left below its lowest input, and a step-up nothing', () => {
    const regulator = catalogue.model({ model: 'board', revision: 1 }).elements.find(({ id }) => id === 'REG')!;
    if (regulator.is !== 'regulator') throw new Error('no regulator');
    expect(giving(regulator, [5.2, 25.2])).toEqual([4.7, 5]);
    expect(giving({ ...regulator, kindOf: 'linear' }, [6, 25.2])).toEqual([4, 5]);
    expect(giving({ ...regulator, kindOf: 'step-up' }, [6, 25.2])).toEqual([0, 5]);
  });
});
