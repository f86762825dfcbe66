/** Cut lists: possible, as short as any, and said how far from the least where that is not known. */
import { describe, expect, it } from 'vitest';
import {
  assemble,
  cutLengths,
  cutList,
  cutNote,
  layoutOf,
  lengthChanges,
  lengthDoubt,
  lengthNote,
  offcutLine,
  offcutsFor,
} from '@junctor/core';
import { shippedTemplates } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { random } from '../generators/generate';
import { cuttingOf, isPossible, triedAll } from '../trials/cutting';
import { catalogue } from '../trials/ruleTrial';

const solve = await loadSolver();
const wire = (id: string, mm: number, awg = 28) => ({ wire: id, awg, colour: 'red', mm });
const offcut = (id: string, lengthMm: number, awg = 28) => ({ id, awg, colour: 'red', lengthMm });

describe('a cut list', () => {
  it('takes from offcuts first, and of those the fewest', () => {
    const list = cutList([wire('A', 90), wire('B', 60)], [offcut('short', 100), offcut('long', 200)], solve);
    expect(list).toMatchObject({ newMm: 0, leastNewMm: 0 });
    expect(list.pieces.map(({ offcut: id, wires }) => [id, wires.map((one) => one.wire)])).toEqual([
      ['long', ['A', 'B']],
    ]);
  });

  it('counts the tinned end and the cuts: what is just too short comes off the reel', () => {
    const [a, b] = [wire('A', 100), wire('B', 100)];
    expect(cutList([a, b], [offcut('just', 206)], solve).newMm).toBe(0);
    const short = cutList([a, b], [offcut('short', 205)], solve);
    expect(short).toMatchObject({ newMm: 100, leastNewMm: 100 });
    expect(short.pieces.map(({ leftMm }) => leftMm)).toEqual([100, null]);
  });

  it('cuts no wire from another gauge', () => {
    const list = cutList([wire('A', 50)], [offcut('thick', 200, 20)], solve);
    expect(list.pieces.map((piece) => piece.offcut)).toEqual([null]);
  });

  it('is as short as any, in as few pieces, where all ways can be tried', () => {
    const chance = random(21);
    for (let index = 0; index < 25; index++) {
      const cutting = cuttingOf(chance, 5, 3);
      const list = cutList(cutting.wires, cutting.offcuts, solve);
      expect(isPossible(cutting, list)).toBe(true);
      expect([list.newMm, list.pieces.length]).toEqual(Object.values(triedAll(cutting)));
      expect(list.leastNewMm).toBe(list.newMm);
    }
  });

  it('of many says how far it can be from the least', () => {
    const cutting = cuttingOf(random(4), 60, 40);
    const list = cutList(cutting.wires, cutting.offcuts, solve);
    expect(isPossible(cutting, list)).toBe(true);
    expect(list.leastNewMm).toBeLessThanOrEqual(list.newMm);
  });
});

describe('what is cut', () => {
  const ids = () => {
    let next = 0;
    return () => `new${(next += 1)}`;
  };

  it('uses its offcuts up, puts back what stays, and gives the reel what no wire needed', () => {
    const wires = [wire('A', 100), wire('B', 60), wire('C', 200)];
    const list = cutList(wires, [offcut('long', 170), offcut('just', 260)], solve);
    const counted = new Map([['wire:28:red', [{ stock: 'reel', quantity: 396 }]]]);
    const { from, back } = cutNote(list, counted, ids());
    expect(new Set(from.flatMap(({ wires: own }) => own))).toEqual(new Set(['A', 'B', 'C']));
    // Of 260 the tinned 5 go and C's 200: 55 stay, the last cut takes no more. Of the other 4 stay, which is swarf.
    expect(from.find(({ stock }) => stock === 'just')!.left).toEqual({ id: 'new1', lengthMm: 55 });
    expect(from.find(({ stock }) => stock === 'long')!.left).toBeNull();
    expect(back).toEqual([{ stock: 'reel', mm: 396 }]);
  });

  it('says of a line of the kit what its offcuts give', () => {
    const wires = [wire('A', 100), wire('B', 60), wire('C', 500), wire('D', 90, 20)];
    const list = cutList(wires, [offcut('long', 170), offcut('other', 200, 20)], solve);
    expect(offcutsFor(list, 'wire:28:red')).toEqual({ mm: 160, from: ['long'] });
    expect(offcutsFor(list, 'wire:20:red')).toEqual({ mm: 90, from: ['other'] });
    expect(offcutsFor(list, 'wire:26:red')).toEqual({ mm: 0, from: [] });
  });

  it('gives nothing back of wire that nobody counted in, nor more than came off', () => {
    const list = cutList([wire('A', 100)], [], solve);
    expect(cutNote(list, new Map(), ids()).back).toEqual([]);
    const short = new Map([['wire:28:red', [{ stock: 'reel', quantity: 80 }]]]);
    expect(cutNote(list, short, ids())).toEqual({ saw: 'cut', from: [], back: [] });
  });

  it('is an offcut of the same wire, where the old one lay', () => {
    expect(offcutLine({ id: 'new1', awg: 28, colour: 'red', lengthMm: 54 }, 'tray 2')).toMatchObject({
      key: 'offcut:wire:28:red',
      name: 'red wire, 28 AWG, 54 mm',
      place: 'tray 2',
      onHand: 1,
      doc: { lengthMm: 54 },
    });
  });
});

describe('cut lengths', () => {
  it.each(shippedTemplates().map(({ name, plan }) => [name, plan.target] as const))(
    'of %s are longer than the way, in steps of 5 mm',
    (_, target) => {
      const { laid } = layoutOf(assemble(target, catalogue))!;
      const cuts = cutLengths(laid, {});
      expect(cuts.length).toBeGreaterThan(0);
      for (const { mm, runMm, slackMm, exitMm, twistMm, stripMm } of cuts) {
        const wanted = runMm + slackMm + exitMm + twistMm + stripMm;
        expect(mm % 5).toBe(0);
        expect(mm - wanted).toBeGreaterThanOrEqual(-1e-6);
        expect(mm - wanted).toBeLessThan(5);
      }
    },
  );

  it('grow with the slack that the shop wants', () => {
    const { laid } = layoutOf(assemble(shippedTemplates()[0]!.plan.target, catalogue))!;
    const total = (slack: string) => cutLengths(laid, { slack }).reduce((sum, { mm }) => sum + mm, 0);
    expect(total('short')).toBeLessThan(total('usual'));
    expect(total('usual')).toBeLessThan(total('generous'));
  });
});

describe('a wire that was cut otherwise', () => {
  const { target } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!.plan;
  const assembly = assemble(target, catalogue);
  const cut = Object.values(target.wires).find(({ from }) => from === 'stock')!;

  it('is asked again where it cannot reach or is far too long, and is then believed', () => {
    const [way] = cutLengths(layoutOf(assembly, new Map())!.laid, {}).filter(({ wire: id }) => id === cut.id);
    const leastMm = Math.ceil(way!.mm - way!.slackMm);
    expect(lengthDoubt(assembly, cut, leastMm, {})).toBeNull();
    expect(lengthDoubt(assembly, cut, leastMm - 1, {})).toContain(`its ends take ${leastMm} mm with nothing to spare`);
    expect(lengthDoubt(assembly, cut, cut.lengthMm! + 60, {})).toBeNull();
    expect(lengthDoubt(assembly, cut, cut.lengthMm! + 61, {})).toContain('61 mm more than planned');
    expect(lengthNote(cut, 60)).toEqual({ saw: 'length', wire: cut.id, mm: 60, reckonedMm: cut.lengthMm });
  });

  it('keeps its length when the layout is signed again', () => {
    const { laid } = layoutOf(assembly)!;
    const others = { ...target, wires: { ...target.wires, [cut.id]: { ...cut, lengthMm: 333 } } };
    const again = layoutOf(assemble(others, catalogue))!.laid;
    expect(lengthChanges(laid, {}, new Set())).toEqual([]);
    expect(lengthChanges(again, {}, new Set()).map(({ path }) => path)).toEqual([`wires/${cut.id}`]);
    expect(lengthChanges(again, {}, new Set([cut.id]))).toEqual([]);
  });
});
