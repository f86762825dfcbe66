/** What is asked of parts while loose: by a meter apart from the core, on the part alone and in the aircraft. */
import type { Build, JobState, Meter, Note, Slot, TerminalRef, TouchList } from '@junctor/core';
import {
  assemble,
  deriveJob,
  emptyBuild,
  fold,
  judgeLoose,
  leftByKind,
  looseReadings,
  makeCatalogue,
  ruledOut,
} from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedModels, shippedTemplate } from '@junctor/catalogue';
import { bodiesFor, plainBench, record, seededIds, startWalk } from '@junctor/demo';
import { describe, expect, it } from 'vitest';
import type { Broken } from '../oracles/insides';
import { TrueMeter } from '../oracles/trueMeter';
import { spreadBy, unshownBy, wide } from '../generators/otherInsides';

const catalogue = makeCatalogue(shippedModels());
const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
const template = shippedTemplate('quad-serial-6s');
const build = template.plan.target;
const list: TouchList = shippedList(basisOf(build, meter))!;
const aloneOf = (slot: Slot): Build => ({ ...emptyBuild, slots: { [slot]: build.slots[slot]! } });

/** The verdict on each listed reading of a loose part, on one that truly is so. */
function verdicts(slot: Slot, truth: Partial<ConstructorParameters<typeof TrueMeter>[0]>) {
  const own = new TrueMeter({ build: aloneOf(slot), catalogue, meter, ...truth });
  const model = assemble(build, catalogue).model(slot)!;
  return looseReadings(model, meter, list.loose[slot])
    .filter(({ shows }) => shows)
    .map((reading) => {
      const { black, red, mode } = reading;
      const ref = (id: string): TerminalRef => `${slot}.${id}`;
      const { value = null, open } = own.answer({ black: ref(black.id), red: ref(red.id), mode });
      return judgeLoose(reading, { length: null, value, ...(open ? { open } : {}) });
    });
}

describe('readings of a loose part', () => {
  const slots = Object.keys(list.loose);

  it('are asked of the ESC, two of each half bridge', () => {
    expect(list.loose.ESC).toHaveLength(24);
  });

  it.each(slots)('pass on good ones, whatever values and insides they have: %s', (slot) => {
    for (let seed = 1; seed <= 40; seed++) {
      const alone = aloneOf(slot);
      const truth = { unshown: unshownBy(seed, alone, catalogue), spread: spreadBy(seed, wide) };
      expect([seed, verdicts(slot, truth).filter((verdict) => verdict !== 'pass')]).toEqual([seed, []]);
    }
  });

  it.each(slots)('show on the loose part each fault that they are asked for: %s', (slot) => {
    const shown = new Set(list.loose[slot]!.flatMap(({ shows }) => shows));
    for (const place of shown) {
      const { kind, site } = list.faults[place]!;
      const is = ({ 'open inside': 'open', 'short inside': 'short', 'leak inside': 'leaky' } as const)[kind];
      const broken: Broken[] = 'slot' in site && is ? [{ slot, element: site.element!, is }] : [];
      expect([kind, site, verdicts(slot, { broken }).includes('stop')]).toEqual([kind, site, true]);
    }
  });

  it('are of faults that the same meter cannot tell once everything is mated', () => {
    const broken: Broken = { slot: 'ESC', element: 'HI-A1', is: 'open' };
    const said = (truth: TrueMeter) => list.touches.map(({ touch }) => truth.answer(touch));
    const good = said(new TrueMeter({ build, catalogue, meter }));
    const bad = said(new TrueMeter({ build, catalogue, meter, broken: [broken] }));
    bad.forEach((one, index) => {
      expect(one.length).toBe(good[index]!.length);
      expect(Math.abs((one.value ?? 2) - (good[index]!.value ?? 2))).toBeLessThan(0.06);
    });
  });
});

describe('a job whose parts are loose still', () => {
  const plan = { ...template.plan, jobId: 'job', version: 1 };
  const bench = { ...plainBench({ plan, catalogue, packV: 23, newId: seededIds(7) }), list, meter };
  const fresh = startWalk(bench, Date.UTC(2026, 0, 5, 8));
  const stepOf = (state: JobState) => state.steps.find(({ id }) => id === 'sign:ESC')!;
  const read = (note: Note) => record(bench, fresh, stepOf(fresh.state), [note]);
  const [good] = bodiesFor(bench, fresh, stepOf(fresh.state)) as [Extract<Note, { saw: 'signature' }>];

  it('asks for them at the kit, and counts what they rule out', () => {
    const { state } = read(good);
    expect(stepOf(state).done).toBe(true);
    const { ruledOutEarlier } = state.touches;
    expect(ruledOutEarlier.size).toBe(24);
    expect(ruledOut(list, [], ruledOutEarlier).stop).toBe(24);
    const left = (out: ReadonlySet<number>) => leftByKind(list, out).flatMap(({ faults }) => faults).length;
    expect(left(new Set()) - left(ruledOutEarlier)).toBe(24);
  });

  it('stays at the part that reads as no good one does, until another is read or it is put off', () => {
    const readings = good.readings.map((one, index) =>
      index === good.readings.length - 1 ? { ...one, value: null, open: true as const, verdict: 'stop' as const } : one,
    );
    const bad = read({ ...good, readings });
    expect(stepOf(bad.state)).toMatchObject({ done: false, blockedReason: expect.stringContaining('no good part') });
    const begun = record(bench, bad, null, [{ do: 'fit', slot: 'BAT', fitted: plan.target.slots.BAT! }]);
    expect(stepOf(begun.state).done).toBe(false);
    expect(stepOf(record(bench, begun, null, [good]).state).done).toBe(true);
    const off = record(bench, begun, null, [{ saw: 'skip', step: 'sign:ESC', reason: 'read on another meter' }]);
    expect(stepOf(off.state).done).toBe(true);
    expect(off.state.touches.ruledOutEarlier.size).toBe(23);
  });

  it('is not asked for them while there is no list', () => {
    const state = deriveJob({ jobId: 'job', plan, log: fold([], catalogue), catalogue, list: null });
    expect(stepOf(state)).toMatchObject({ loose: [] });
  });
});
