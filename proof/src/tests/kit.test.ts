/** The kit, the intake's judgement and other parts in a plan, on the shipped plans and parts. */
import type { KitLine, PartModel, StockLine } from '@junctor/core';
import {
  amountWords,
  deriveJob,
  emptyBuild,
  emptyLog,
  expectedLoss,
  extrasFor,
  balanceOf,
  flyingWith,
  gradeJob,
  insteadFor,
  lostWords,
  judge,
  kitList,
  makeCatalogue,
  motorRisks,
  pickFor,
  swapModel,
  takesFor,
  voltageWindow,
  assemble,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate, shippedTemplates } from '@junctor/catalogue';

const models = shippedModels();
const catalogue = makeCatalogue(models);
const { target, cells, links } = shippedTemplate('quad-serial-6s').plan;
const culvert = shippedTemplate('quad-culvert-4s').plan;
const lines = new Map(
  kitList(assemble(emptyBuild, catalogue), assemble(target, catalogue)).map((line) => [line.key, line]),
);
const model = (id: string) => models.find((known) => known.id === id)!;

describe('the pick list', () => {
  it('counts every part of the plan, once each', () => {
    for (const { plan } of shippedTemplates()) {
      const parts = kitList(assemble(emptyBuild, catalogue), assemble(plan.target, catalogue)).filter(
        ({ kind }) => kind === 'part',
      );
      expect(parts.reduce((sum, { needed }) => sum + needed, 0)).toBe(Object.keys(plan.target.slots).length);
      expect(parts.flatMap(({ slots }) => slots).sort()).toEqual(Object.keys(plan.target.slots).sort());
    }
  });

  it('takes wire by gauge and colour as it is cut, with an allowance', () => {
    expect(lines.get('wire:28:yellow')).toMatchObject({
      needed: Math.ceil(75 * 1.1),
      unit: 'mm',
      steps: ['land:W3.a'],
    });
  });

  it('wants one made-up lead, four screws a motor, a tie an arm, and the tips that its joints need', () => {
    expect(lines.get('lead:wire plug 1.25:8:45')).toMatchObject({ needed: 1, steps: ['lead:C1'] });
    expect(lines.get('screw:M3:8')).toMatchObject({ needed: 16 });
    expect(lines.get('tie:100')).toMatchObject({ needed: 6 });
    expect([...lines.keys()].filter((key) => key.startsWith('tip:'))).toEqual(['tip:2.4', 'tip:4.6', 'tip:1.2']);
    expect(lines.get('solder:leaded')!.needed).toBeGreaterThan(1);
  });

  it('of a conversion names only what is to be added, and nothing when nothing is', () => {
    const { RX: _gone, ...slots } = target.slots;
    const without = {
      ...target,
      slots,
      wires: Object.fromEntries(Object.entries(target.wires).filter(([id]) => !/^W\d$/.test(id))),
    };
    const added = kitList(assemble(without, catalogue), assemble(target, catalogue))
      .filter(({ kind }) => kind === 'part' || kind === 'wire')
      .map(({ key }) => key);
    expect(added).toEqual(['part:dunlin-rx-2', 'wire:28:red', 'wire:28:black', 'wire:28:yellow', 'wire:28:green']);
    expect(kitList(assemble(target, catalogue), assemble(target, catalogue))).toEqual([]);
  });
});

describe('what the stores have for a line', () => {
  const wire = lines.get('wire:28:red')!;
  const stock = (over: Partial<StockLine>): StockLine => ({
    id: 's',
    key: wire.key,
    name: '',
    unit: 'mm',
    onHand: 1000,
    offcut: false,
    place: '',
    doc: {},
    ...over,
  });

  it('is enough, short, or never counted', () => {
    expect(pickFor(wire, [stock({})], [])).toMatchObject({
      state: 'enough',
      takes: [{ stock: 's', quantity: wire.needed }],
    });
    expect(pickFor(wire, [stock({ onHand: 40 })], [])).toMatchObject({ state: 'short', have: 40 });
    expect(pickFor(wire, [stock({ onHand: -5 })], [])).toMatchObject({ state: 'short', have: 0, takes: [] });
    expect(pickFor(wire, [], [])).toMatchObject({ state: 'not listed', have: wire.needed });
  });

  it('takes off the reel what offcuts do not give, and is enough with both', () => {
    const pick = pickFor(wire, [stock({ onHand: wire.needed - 60 })], [], 80);
    expect(pick).toMatchObject({ state: 'enough', have: wire.needed, fromOffcuts: 80, donors: [] });
    expect(takesFor(pick, pick.have)).toEqual([{ stock: 's', quantity: wire.needed - 80 }]);
    expect(takesFor(pick, 60)).toEqual([]);
    expect(pickFor(wire, [stock({ onHand: 10 })], [], 20)).toMatchObject({ state: 'short', have: 30 });
    expect(pickFor(wire, [stock({})], [], 5000)).toMatchObject({ have: wire.needed, takes: [] });
  });

  it('takes no more than was put on the table, parts in hand first', () => {
    const pick = {
      have: 5,
      fromOffcuts: 0,
      state: 'enough' as const,
      takes: [
        { stock: 'a', quantity: 3 },
        { stock: 'b', quantity: 2 },
      ],
      parts: ['p'],
      donors: [],
      cautions: [],
    };
    expect([takesFor(pick, 3), takesFor(pick, 6), takesFor(pick, 1)]).toEqual([
      [{ stock: 'a', quantity: 2 }],
      [
        { stock: 'a', quantity: 3 },
        { stock: 'b', quantity: 2 },
      ],
      [],
    ]);
  });

  it('offers the shortest offcut that is long enough', () => {
    const offcut = (id: string, lengthMm: number, colour = 'red') =>
      stock({ id, key: 'offcut', offcut: true, onHand: 1, doc: { awg: 28, colour, lengthMm } });
    const { donors } = pickFor(
      wire,
      [offcut('long', 400), offcut('fits', 130), offcut('short', 60), offcut('green', 200, 'green')],
      [],
    );
    expect(donors.map(({ id }) => id)).toEqual(['fits', 'long']);
  });

  it('takes tested new parts before doubtful ones, never scrap, and says which are used', () => {
    const motor = lines.get('part:marl-motor-2812')!;
    const part = (id: string, origin: 'new' | 'used', condition: 'untested' | 'tested' | 'doubtful' | 'scrap') => ({
      id,
      model: 'marl-motor-2812',
      serial: id,
      origin,
      condition,
    });
    const pick = pickFor(
      motor,
      [],
      [
        part('d', 'used', 'doubtful'),
        part('s', 'new', 'scrap'),
        part('n', 'new', 'untested'),
        part('t', 'new', 'tested'),
      ],
    );
    expect([pick.parts, pick.state, pick.have]).toEqual([['t', 'n', 'd'], 'short', 3]);
    expect(pick.cautions).toEqual(['d: used, doubtful']);
  });

  it('is said with its unit', () => {
    expect([amountWords(1, 'pieces'), amountWords(1240, 'mm'), amountWords(2.64, 'g')]).toEqual([
      '1 piece',
      '1.2 m',
      '2.6 g',
    ]);
  });
});

describe('intake', () => {
  it('finds every part fed inside its range, at the empty pack too, and what is not', () => {
    expect(voltageWindow(assemble(target, catalogue), cells).every(({ verdict }) => verdict === 'fits')).toBe(true);
    expect(voltageWindow(assemble(target, catalogue), [8, 8])).toContainEqual(
      expect.objectContaining({ slot: 'ESC', verdict: 'too high', fullV: 8 * 4.2 }),
    );
    expect(voltageWindow(assemble(target, catalogue), [3, 3])).toContainEqual(
      expect.objectContaining({ slot: 'ESC', verdict: 'too low at empty', emptyV: 9 }),
    );
    const low = voltageWindow(assemble(culvert.target, catalogue), [3, 3]).find(({ slot }) => slot === 'VTX')!;
    expect(low).toMatchObject({ verdict: 'fits' });
    expect(low.emptyV).toBeCloseTo(8.5, 5);
  });

  it('bands motor speed by turns per volt, cells and pole pairs against the ESC', () => {
    const [risk] = motorRisks(assemble(culvert.target, catalogue), culvert.cells);
    expect(risk!.electricalRpm).toBeCloseTo(3800 * 4 * 4.2 * 6, 5);
    expect(motorRisks(assemble(culvert.target, catalogue), [3, 3])[0]!.band).toBe('easy');
    expect(motorRisks(assemble(culvert.target, catalogue), [6, 6])[0]!.band).toBe('over the limit');
    expect(expectedLoss(1500, 0.05, 22000)).toEqual({ lossMinor: 1100, pays: true });
  });

  it('grades by joints and the smallest pad, and estimates honestly', () => {
    const steps = deriveJob({
      jobId: 'j',
      plan: { ...shippedTemplate('quad-serial-6s').plan, jobId: 'j', version: 1 },
      log: emptyLog(catalogue),
      catalogue,
      list: null,
    }).steps;
    const grade = gradeJob(assemble(emptyBuild, catalogue), assemble(target, catalogue), steps);
    expect(grade.joints).toEqual({ signal: 8, motor: 14, power: 2 });
    expect(grade.minutes.most / grade.minutes.least).toBeGreaterThan(1.8);
    expect(grade.plugs).toBe(2);
  });

  it('weighs extras by what a loss would cost, and says when no port is free', () => {
    const [positioning] = extrasFor(assemble(culvert.target, catalogue), models, 100000);
    expect(positioning).toMatchObject({ there: false, savesMinor: 17500, serialPorts: 1 });
    expect(
      extrasFor(assemble(shippedTemplate('carrier-coax-6s').plan.target, catalogue), models, 100000)[0],
    ).toMatchObject({
      there: true,
    });
  });

  it('forecasts weight with any pack, narrower once parts are weighed', () => {
    const pack = model('moss-pack-6s-1500');
    const planned = assemble(target, catalogue);
    const rough = balanceOf(planned, {}).g;
    const fine = balanceOf(planned, { ESC: 15.3, FC: 8.5, M1: 61 }).g;
    const width = ([low, high]: readonly [number, number]) => high - low;
    expect(width(fine)).toBeLessThan(width(rough));
    const { g } = flyingWith(planned, balanceOf(planned, {}), { pack, propeller: null });
    expect((g[0] + g[1]) / 2 - (rough[0] + rough[1]) / 2).toBeCloseTo(pack.massG, 5);
  });
});

describe('another controller in a plan', () => {
  const swapped = (id: string) =>
    swapModel(shippedTemplate('quad-serial-6s').plan, 'FC', model('plover-fc-36'), model(id));
  const severe = (id: string) => {
    const { plan } = swapped(id);
    return judge(assemble(plan.target, catalogue), plan.links, plan.cells).filter(
      ({ severity }) => severity === 'kill',
    );
  };

  it('keeps its plug where the new one has the same, else solders its wires to the pads that do the same', () => {
    expect(Object.keys(swapped('curlew-fc-30').plan.target.mates)).toEqual(['JE', 'JF']);
    const narrow = swapped('sanderling-fc-20').plan.target;
    expect([narrow.housings.C1E!.family, narrow.housings.C1F!.family]).toEqual(['wire plug 1.25', 'wire plug 1.0']);
    expect(narrow.mates.JF).toMatchObject({ a: { slot: 'FC', connector: 'J1' } });
    const cut = swapped('turnstone-fc-36');
    expect(Object.keys(cut.plan.target.mates)).toEqual(['JE']);
    expect(cut.plan.target.wires['C1-5']!.ends[1]).toMatchObject({ at: { ref: 'FC.S1' }, by: 'solder' });
    expect(cut.lost).toEqual([]);
  });

  it('puts no wire where it would destroy something, on any controller of the market', () => {
    for (const { id, kind } of models as PartModel[])
      if (kind === 'controller' && id !== 'plover-fc-36') expect([id, severe(id)]).toEqual([id, []]);
  });

  it('names what has no pad any more', () => {
    expect(swapped('stint-board-26').lost.map(({ was }) => was)).toEqual(expect.arrayContaining(['S1', 'S4', 'CUR']));
    expect(links.length).toBe(swapped('curlew-fc-30').plan.links.length);
    expect(lostWords(swapped('stint-board-26').lost)[0]).toMatch(/^It has no pad for .*S1.*\.$/);
  });

  it('puts no lead on a supply pad of other volts, and says what it wants', () => {
    const { plan } = shippedTemplate('quad-serial-6s');
    const { lost, plan: without } = swapModel(plan, 'RX', model(plan.target.slots.RX!.model), model('goldeneye-rx-33'));
    expect(lostWords(lost)).toEqual(['Its 3V3 takes 3.1 to 3.5 V, where 5V takes 4.5 to 5.5 V.']);
    const on = Object.values(without.target.wires).flatMap(({ ends }) => ends.map(({ at }) => JSON.stringify(at)));
    expect(on.filter((at) => at.includes('RX.VIN'))).toEqual([]);
    expect(on.filter((at) => at.includes('RX.GND'))).toHaveLength(1);
  });
});

describe('something else from the stores', () => {
  const tie = { key: 'tie:100', needed: 3 } as KitLine;
  const line = (key: string, onHand: number, offcut = false) => ({ id: key, key, onHand, offcut }) as StockLine;
  it('is of the same sort, enough, and the nearest in size', () => {
    const stock = [line('tie:300', 9), line('tie:150', 3), line('tie:80', 2), line('wire:28:red', 900)];
    expect(insteadFor(tie, stock)?.key).toBe('tie:150');
    expect(insteadFor(tie, [line('tie:100', 9), line('tie:150', 9, true)])).toBeNull();
  });

  it('keeps the gauge of a wire and the thread of a screw, and there is none for a part or solder', () => {
    const wire = { key: 'wire:28:red', needed: 100 } as KitLine;
    expect(insteadFor(wire, [line('wire:26:red', 900), line('wire:28:blue', 900)])?.key).toBe('wire:28:blue');
    const screw = { key: 'screw:M3:8', needed: 4 } as KitLine;
    expect(insteadFor(screw, [line('screw:M2:8', 9), line('screw:M3:10', 9)])?.key).toBe('screw:M3:10');
    expect(insteadFor({ key: 'solder:leaded', needed: 1 } as KitLine, [line('solder:lead-free', 9)])).toBeNull();
  });
});
