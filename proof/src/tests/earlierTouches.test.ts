/** What is read with a plug apart, and in ohms: by a meter apart from the core, on good aircraft and on faulty ones. */
import type { Build, ListedFault, ListedTouch, Meter, TouchList } from '@junctor/core';
import { assemble, compile, deriveJob, expectIn, fold, judgeReading, makeCatalogue, netlist } from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedModels, shippedTemplate } from '@junctor/catalogue';
import { bodiesFor, plainBench, record, seededIds, startWalk } from '@junctor/demo';
import { describe, expect, it } from 'vitest';
import type { Broken } from '../oracles/insides';
import { TrueMeter } from '../oracles/trueMeter';
import { spreadBy, unshownBy, wide } from '../generators/otherInsides';

const catalogue = makeCatalogue(shippedModels());
const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
const templates = ['quad-culvert-4s', 'quad-glasshouse-6s', 'carrier-coax-6s'] as const;
const listOf = (build: Build): TouchList => shippedList(basisOf(build, meter))!;

interface Stage {
  name: string;
  list: TouchList;
  /** As it stands while these are asked. */
  build: Build;
  touches: readonly ListedTouch[];
}

const stages = templates.flatMap((name): Stage[] => {
  const build = shippedTemplate(name).plan.target;
  const list = listOf(build);
  const apart = Object.entries(list.apart).map(([plug, { touches }]): Stage => {
    const { [plug]: _pulled, ...mates } = build.mates;
    return { name: `${name}, ${plug} apart`, list, build: { ...build, mates }, touches };
  });
  const inOhms = list.touches.filter(({ touch }) => touch.mode === 'ohms');
  return [...apart, ...(inOhms.length > 0 ? [{ name: `${name}, in ohms`, list, build, touches: inOhms }] : [])];
});

const proven = { heldMs: null, by: 'meter', wrong: 0, anchors: { black: 'tone', red: 'tone' } } as const;

function verdicts({ build, touches }: Stage, truth: Partial<ConstructorParameters<typeof TrueMeter>[0]>) {
  const circuit = compile(assemble(build, catalogue));
  const own = new TrueMeter({ build, catalogue, meter, ...truth });
  return touches.map(({ touch }) =>
    judgeReading(expectIn(circuit, touch, { meter }), { ...proven, ...own.answer(touch) }),
  );
}

/** The fault as the other meter takes it; null where it is told only by edits of the wiring. */
function broken({ kind, site }: ListedFault): Partial<ConstructorParameters<typeof TrueMeter>[0]> | null {
  if ('between' in site) return { bridges: [{ a: site.between[0], b: site.between[1], ohms: 0.05 }] };
  const is = ({ 'open inside': 'open', 'short inside': 'short' } as const)[kind];
  if (!is || !('slot' in site) || site.element === undefined) return null;
  return { broken: [{ slot: site.slot, element: site.element, is } satisfies Broken] };
}

describe.each(stages)('$name', (stage) => {
  it('passes on good aircraft, whatever values and insides they have', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const truth = { unshown: unshownBy(seed, stage.build, catalogue), spread: spreadBy(seed, wide) };
      expect([seed, verdicts(stage, truth).filter((verdict) => verdict !== 'pass')]).toEqual([seed, []]);
    }
  });

  it('stops each fault that it is asked for', () => {
    const shown = new Set(stage.touches.flatMap(({ shows }) => shows));
    const tried = [...shown].flatMap((place) => {
      const fault = stage.list.faults[place]!;
      const truth = broken(fault);
      return truth ? [[fault.kind, fault.site, verdicts(stage, truth).includes('stop')]] : [];
    });
    expect(tried.length).toBeGreaterThan(0);
    expect(tried.filter(([, , isStopped]) => !isStopped)).toEqual([]);
  });
});

describe('a job with a plug that is left apart', () => {
  const { plan: shipped } = shippedTemplate('quad-culvert-4s');
  const plan = { ...shipped, jobId: 'job', version: 1 };
  const list = listOf(plan.target);
  const [plug] = Object.keys(list.apart);
  const bench = { ...plainBench({ plan, catalogue, packV: 15, newId: seededIds(3) }), list, meter };
  const order = (state: ReturnType<typeof deriveJob>) => state.steps.map(({ id }) => id);
  const isApart = (step: ReturnType<typeof deriveJob>['steps'][number]) =>
    step.verb === 'touch' && step.withApart === plug;

  it('reads what shows only so before that plug goes home, and everything else after it', () => {
    const state = deriveJob({ jobId: 'job', plan, log: fold([], catalogue), catalogue, list });
    const steps = state.steps.map((step) => ({ step, at: order(state).indexOf(step.id) }));
    const home = order(state).indexOf(`mate:${plug}`);
    const apart = steps.filter(({ step }) => isApart(step));
    expect(apart).toHaveLength(list.apart[plug!]!.touches.length);
    expect(apart.every(({ at }) => at < home)).toBe(true);
    const mated = steps.filter(({ step }) => step.verb === 'touch' && step.withApart === null);
    expect(mated.every(({ at }) => at > home)).toBe(true);
    const others = order(state).filter((id) => id.startsWith('mate:') && id !== `mate:${plug}`);
    expect(others.every((id) => order(state).indexOf(id) < order(state).indexOf(apart[0]!.step.id))).toBe(true);
  });

  it('keeps what was read so once the plug is home, and asks nothing of it when it went home unread', () => {
    let now = startWalk(bench, Date.UTC(2026, 0, 5, 8));
    const shown = new Set(list.apart[plug!]!.touches.flatMap(({ shows }) => shows));
    for (;;) {
      const step = now.state.current;
      if (!step || step.id === `mate:${plug}` || (step.verb === 'touch' && !isApart(step))) break;
      // Loose parts would show the same; they were not read.
      const skipped = { saw: 'skip', step: step.id, reason: 'no time' } as const;
      now = record(bench, now, step, step.verb === 'sign' ? [skipped] : bodiesFor(bench, now, step));
    }
    const unread = deriveJob({ jobId: 'job', plan, log: fold([], catalogue), catalogue, list });
    expect(unread.touches.ruledOutEarlier.size).toBe(0);
    expect([...shown].every((place) => now.state.touches.ruledOutEarlier.has(place))).toBe(true);
    now = record(bench, now, now.state.current, bodiesFor(bench, now, now.state.current!));
    expect(now.state.steps.filter(isApart).map(({ done }) => done)).toEqual(list.apart[plug!]!.touches.map(() => true));
    expect([...shown].every((place) => now.state.touches.ruledOutEarlier.has(place))).toBe(true);
    // The iron at one of its places takes back what was read there.
    const { touch, shows: those } = list.apart[plug!]!.touches[0]!;
    const refs = [touch.black, touch.red].flatMap((ref) => netlist(now.state.asBuilt).netOf(ref)!.terminals);
    const [wire] = Object.values(now.state.asBuilt.build.wires).filter(({ ends: [, { at, by }] }) => {
      return by === 'solder' && at.on === 'terminal' && refs.includes(at.ref);
    });
    const worked = record(bench, now, null, [{ do: 'reheat', wire: wire!.id, end: 1, dwellS: 3 }]);
    expect(those.filter((at) => !now.state.touches.ruledOutEarlier.has(at))).toEqual([]);
    expect(those.filter((at) => worked.state.touches.ruledOutEarlier.has(at))).toEqual([]);
    // Pulled and pushed home without a touch in another job nothing is asked of it.
    const mates = { ...plan.target.mates };
    const first = startWalk(bench, Date.UTC(2026, 0, 5, 8));
    const early = record(bench, first, null, [{ do: 'mate', id: plug!, mate: mates[plug!]! }]);
    expect(early.state.steps.filter(isApart)).toEqual([]);
  });
});
