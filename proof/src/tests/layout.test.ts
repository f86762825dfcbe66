/** Layouts: margins as reckoned by hand, remedies that mend, the best lay of all there are. */
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate, shippedTemplates } from '@junctor/catalogue';
import type { Margin, PartKind, WireEnd } from '@junctor/core';
import {
  applyPlanChanges,
  assemble,
  bestLay,
  draftFrame,
  layoutOf,
  leavesTo,
  lengthMmOf,
  lowerNut,
  makeCatalogue,
} from '@junctor/core';
import { demoPlan } from '@junctor/demo';
import { layoutsByHand } from '../cases/layouts/byHand';
import { random } from '../generators/generate';
import { byHandMm, marginOf, moved, searchedAndTried, smallAircraft } from '../trials/layouts';
import { catalogue } from '../trials/ruleTrial';

describe('a margin', () => {
  it.each(layoutsByHand.map((one) => [`${one.margin}: ${one.says}`, one] as const))(
    'is what was reckoned by hand, %s',
    (_, one) => {
      const { mm, worstMm, likelyMm } = marginOf(one);
      expect(mm).toBeCloseTo(byHandMm(one), 1);
      const tolMm = one.terms.reduce((sum, [, , tol = 0]) => sum + tol, 0);
      expect(worstMm).toBeCloseTo(byHandMm(one) - tolMm, 1);
      const chance = random(3);
      const drawn = Array.from({ length: 200 }, () => moved(one, chance));
      expect(drawn.filter((drawnMm) => drawnMm < worstMm! - 1e-9)).toEqual([]);
      const inside = drawn.filter((drawnMm) => drawnMm >= likelyMm![0] - 1e-9 && drawnMm <= likelyMm![1] + 1e-9);
      expect(inside.length).toBeGreaterThanOrEqual(0.9 * drawn.length);
    },
  );
});

describe('the best lay', () => {
  it('is as good as the best of all there are', () => {
    const chance = random(11);
    for (let index = 0; index < 4; index++) {
      const [searched, tried] = searchedAndTried(smallAircraft(chance));
      expect(searched).toBeCloseTo(tried, 6);
    }
  });

  const conversion = ['the culvert inspector’s conversion', demoPlan('culvert-conversion')] as const;
  it.each([...shippedTemplates().map(({ name, plan }) => [name, plan] as const), conversion])(
    'of %s leaves no margin that does not hold, and two parts in no place',
    (_, { target }) => {
      const assembly = assemble(target, catalogue);
      const lay = bestLay(assembly);
      const layout = layoutOf(assembly, lay.poses)!;
      expect(layout.margins.filter(({ verdict }) => verdict === 'no' || verdict === 'not known')).toEqual([]);
      expect(lay.isProven).toBe(true);
      const places = [...layout.laid.poses.values()]
        .map(({ place }) => place)
        .filter((place) => layout.laid.places.has(place) && layout.laid.places.get(place)!.kind !== 'stack');
      expect(new Set(places).size).toBe(places.length);
    },
  );

  it('leaves a part where somebody has put it', () => {
    const { target } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!.plan;
    const pose = { place: 'front deck', atMm: [0, 35, 2.2], yawDeg: 90, face: 'up' } as const;
    const slots = { ...target.slots, RX: { ...target.slots.RX!, pose } };
    const assembly = assemble({ ...target, slots }, catalogue);
    const { poses } = bestLay(assembly);
    expect(poses.has('RX')).toBe(false);
    expect([...poses.values()].map(({ place }) => place)).not.toContain('front deck');
    expect(layoutOf(assembly, poses)!.laid.poses.get('RX')).toEqual(pose);
  });
});

describe('a lower nut', () => {
  it('takes its height of the thread above, lifts the stack by it, and comes out again', () => {
    const { plan } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!;
    const whole = { ...plan, jobId: 'job', version: 1 };
    const before = layoutOf(assemble(plan.target, catalogue))!;
    const put = applyPlanChanges(whole, lowerNut(before.laid)!.changes);
    if (!put.ok) throw new Error('the change does not hold');
    const after = layoutOf(assemble(put.plan.target, catalogue))!;
    const mmOf = ({ margins }: typeof before, kind: Margin['kind']) => margins.find((one) => one.kind === kind)!.mm!;
    expect(mmOf(after, 'thread')).toBeCloseTo(mmOf(before, 'thread') - 2.4);
    expect(mmOf(after, 'gap below')).toBeCloseTo(mmOf(before, 'gap below') + 2.4);
    const out = applyPlanChanges(put.plan, lowerNut(after.laid)!.changes);
    if (!out.ok) throw new Error('the change does not hold');
    const figures = ({ margins }: typeof before) => margins.map(({ what, mm, worstMm }) => [what, mm, worstMm]);
    expect(figures(layoutOf(assemble(out.plan.target, catalogue))!)).toEqual(figures(before));
  });
});

describe('a wire', () => {
  const { target } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!.plan;

  it('leaves its pad to where its way goes, once its parts lie where somebody said', () => {
    expect(leavesTo(assemble(target, catalogue), target.wires.W3!, 1)).toBeNull();
    const pose = (place: string, atMm: readonly [number, number, number]) =>
      ({ place, atMm, yawDeg: 0, face: 'up' }) as const;
    const slots = {
      ...target.slots,
      FC: { ...target.slots.FC!, pose: pose('stack', [0, 0, 12]) },
      RX: { ...target.slots.RX!, pose: pose('rear bay', [0, -46, 6.2]) },
    };
    const laid = assemble({ ...target, slots }, catalogue);
    expect(leavesTo(laid, target.wires.W3!, 0)).toContain('front');
    expect(leavesTo(laid, target.wires.W3!, 1)).toContain('back');
  });

  it('without a length is as long as it would be cut; as long as it was measured, once it was', () => {
    const cut = { ...target.wires.W3!, lengthMm: null };
    const assembly = assemble({ ...target, wires: { ...target.wires, W3: cut } }, catalogue);
    expect(lengthMmOf(assembly, cut) % 5).toBe(0);
    expect(lengthMmOf(assembly, { ...cut, lengthMm: 83 })).toBe(83);
    const air: WireEnd = { at: { on: 'air', end: 'bare' }, by: 'solder' };
    const hanging = { ...cut, ends: [cut.ends[0], air] as const };
    expect(lengthMmOf(assembly, hanging)).toBe(120);
  });
});

describe('two parts that somebody has put into one place', () => {
  const { target } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!.plan;
  const laidWith = (slots: (typeof target)['slots']) => {
    const assembly = assemble({ ...target, slots: { ...target.slots, ...slots } }, catalogue);
    return layoutOf(assembly, bestLay(assembly).poses)!;
  };
  const into = (slot: string, atMm: readonly [number, number, number]) => ({
    [slot]: { ...target.slots[slot]!, pose: { place: 'rear bay', atMm, yawDeg: 90, face: 'up' as const } },
  });

  it('do not go, by as much as one would have to give way', () => {
    const { margins } = laidWith({ ...into('RX', [0, -46, 6.2]), ...into('CAP', [0, -46, 6.2]) });
    const shared = margins.find(({ kind, slots }) => kind === 'place' && slots.length === 2)!;
    expect(shared).toMatchObject({ verdict: 'no', what: expect.stringContaining('in rear bay') });
    expect(shared.mm).toBeLessThan(0);
    expect(shared.says).toContain('one of them goes elsewhere');
  });

  it('go where they lie beside each other', () => {
    const { margins } = laidWith({ ...into('RX', [-12, -60, 6.2]), ...into('CAP', [10, -34, 6.2]) });
    expect(margins.filter(({ kind, slots }) => kind === 'place' && slots.length === 2)).toEqual([]);
  });
});

describe('a remedy', () => {
  const tight = shippedTemplates().flatMap(({ name, plan }) => {
    const assembly = assemble(plan.target, catalogue);
    const { poses } = bestLay(assembly);
    return layoutOf(assembly, poses)!.margins.flatMap((margin) =>
      margin.remedies.map((remedy) => ({ says: `${name}: ${remedy.says}`, plan, poses, margin, remedy })),
    );
  });
  const isSame = (a: Margin) => (b: Margin) => a.kind === b.kind && a.slots.join() === b.slots.join();

  it.each(tight.map((one) => [one.says, one] as const))('makes its margin hold at worst: %s', (_, one) => {
    const whole = { ...one.plan, jobId: 'job', version: 1 };
    const mended = applyPlanChanges(whole, one.remedy.changes);
    if (!mended.ok) throw new Error('the change does not hold');
    const after = layoutOf(assemble(mended.plan.target, catalogue), one.poses)!.margins.find(isSame(one.margin))!;
    expect(after.worstMm!).toBeGreaterThan(one.margin.worstMm!);
    expect(after.verdict).toBe('go');
  });

  it('is there for the vineyard quad: longer screws', () => {
    expect(tight.map(({ remedy }) => remedy.says)).toContain('Take M3 x 25 screws');
  });
});

type Sizes = readonly [number, number, number];

it('a quad is laid out in a frame that was drawn up from measurements', () => {
  const { target } = shippedTemplate('quad-serial-6s').plan;
  const spot = (name: string, atMm: Sizes, roomMm: Sizes, madeFor: PartKind | null = null) =>
    ({ name, kind: 'surface', atMm, roomMm, patternMm: null, madeFor }) as const;
  const model = draftFrame({
    name: 'Copse 8',
    maker: 'Osier Frames',
    massG: 180,
    motors: 'four',
    acrossMm: 240,
    alongMm: 240,
    propellerMm: 203,
    conducts: true,
    wideMm: 70,
    longMm: 150,
    bottomMm: 2.5,
    armsMm: 4,
    lid: { overMm: 36, thickMm: 2, settlesMm: 0.8 },
    stack: { patternMm: 30.5, aheadMm: 0, screwMm: 25 },
    pack: 'on top',
    places: [
      spot('tail', [0, -68, 0], [30, 18, 12], 'battery lead'),
      spot('rear deck', [0, -42, 4], [40, 30, 30]),
      spot('front deck', [0, 40, 0], [30, 24, 20]),
    ],
    openings: [{ name: 'left window', passes: 'usb', side: 'left', atMm: [0, 19], sizeMm: [36, 24] }],
  });
  const slots = { ...target.slots, FRAME: { ...target.slots.FRAME!, model: model.id } };
  const assembly = assemble({ ...target, slots }, makeCatalogue([...shippedModels(), model]));
  const { margins, laid } = layoutOf(assembly)!;
  expect(margins.filter(({ verdict }) => verdict === 'no').map(({ says }) => says)).toEqual([]);
  expect(laid.poses.get('BAT')!.place).toBe('tail');
  expect(margins.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['thread', 'lid', 'reach', 'lead', 'blades']));
});
