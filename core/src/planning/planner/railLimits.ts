/** What regulators bear, as constraints of the model. */
import { planShare } from '../../physics/loads/supplyTree';
import { splitRef } from '../../facts/terms/names';
import { regulatorOn } from './feeds';
import type { Constraint, Terms } from '../../facts/terms/solver';
import type { Assembly } from '../../facts/assembly/assembly';
import { fliesOnIt, isController } from '../../facts/catalogue/kinds';
import type { WiringInput } from './wiringVariables';
import { joinName } from './wiringVariables';

/**
 * Typical load within a regulator's limit; peaks too where a controller or a receiver hangs on it. Gives the rails that
 * have a limit.
 */
export function railLimits(
  { assembly, needs, options, pinned }: WiringInput,
  add: (terms: Terms, is: Constraint['is'], value: number) => void,
): string[] {
  const pinnedPad = new Map(pinned.filter(({ what }) => what === 'terminal').map(({ of, value }) => [of, value]));
  const drawn = new Map<string, { name: string; typical: number; peak: number; flight: boolean }[]>();
  for (const { own, slot, pads } of needs) {
    for (const { ref, rail, typicalA, peakA } of pads) {
      if (!rail || (pinnedPad.has(own) && pinnedPad.get(own) !== ref)) continue;
      const entry = {
        name: joinName(own, ref),
        typical: typicalA,
        peak: peakA,
        flight: fliesOnIt(assembly.model(slot)!.kind),
      };
      for (const { rail: above, factor } of chain(assembly, rail))
        drawn.set(above, [...(drawn.get(above) ?? []), { ...entry, typical: typicalA * factor, peak: peakA * factor }]);
    }
  }
  // Plus of a buzzer is a signal to the plan and a load to the rail that its pad sits on.
  const loaded = new Map<string, { rail: string; typicalA: number; peakA: number }>();
  for (const { own, pads } of options.flatMap(({ signals }) => signals)) {
    const load = assembly
      .model(splitRef(own).slot)!
      .elements.find((element) => element.is === 'load' && element.plus === assembly.terminal(own)!.node);
    for (const pad of load?.is === 'load' ? pads : []) {
      const regulator = regulatorOn(assembly.model(splitRef(pad).slot)!, assembly.terminal(pad)!.node);
      if (regulator && load?.is === 'load')
        loaded.set(joinName(own, pad), {
          rail: `${splitRef(pad).slot}/${regulator.id}`,
          typicalA: load.typicalA,
          peakA: load.peakA,
        });
    }
  }
  for (const [name, { rail, typicalA, peakA }] of loaded) {
    for (const { rail: above, factor } of chain(assembly, rail))
      drawn.set(above, [
        ...(drawn.get(above) ?? []),
        { name, typical: typicalA * factor, peak: peakA * factor, flight: false },
      ]);
  }
  for (const [rail, users] of drawn) {
    const { element, own } = regulatorNamed(assembly, rail);
    const most = users.reduce((sum, { peak }) => sum + peak, own.peak);
    const within = (drawn: Terms, limitA: number) => {
      add(drawn, '<=', limitA);
      for (const cover of covers(drawn, limitA)) add(cover.terms, '<=', cover.count);
    };
    within(
      users.map(({ name, typical }) => [name, typical]),
      element.limitA - own.typical,
    );
    const typicalPlan = Math.min(element.limitA * planShare, element.stillAirA);
    add(
      [...users.map(({ name, typical }) => [name, typical] as const), [`over ${rail}`, -most]],
      '<=',
      typicalPlan - own.typical,
    );
    if (own.flight)
      within(
        users.map(({ name, peak }) => [name, peak]),
        element.limitA - own.peak,
      );
    else {
      add(
        [...users.map(({ name, peak }) => [name, peak] as const), [`over ${rail}`, -most]],
        '<=',
        element.limitA - own.peak,
      );
      for (const { name } of users.filter(({ flight }) => flight))
        add(
          [...users.map((user) => [user.name, user.peak + (user.name === name ? most : 0)] as const)],
          '<=',
          element.limitA - own.peak + most,
        );
    }
  }
  return [...drawn.keys()];
}

/**
 * How many of those that draw as much or more there is room for. It follows from the limit for whole parts; said, it
 * spares the solver every order in which parts that are alike could be left over (cover inequalities).
 */
function covers(drawn: Terms, limitA: number): { terms: Terms; count: number }[] {
  const amounts = [...new Set(drawn.map(([, amps]) => amps))].filter((amps) => amps > 0);
  return amounts.flatMap((least) => {
    const greater = drawn.filter(([, amps]) => amps >= least);
    const count = Math.max(0, Math.floor(limitA / least + 1e-9));
    return greater.length > count ? [{ terms: greater.map(([name]) => [name, 1] as const), count }] : [];
  });
}

function regulatorNamed(assembly: Assembly, rail: string) {
  const [slot, id] = [rail.slice(0, rail.indexOf('/')), rail.slice(rail.indexOf('/') + 1)];
  const model = assembly.model(slot)!;
  const element = model.elements.find((element) => element.id === id)!;
  if (element.is !== 'regulator') throw new RangeError(`no regulator ${rail}`);
  const load = (node: string, seen: readonly string[]): { typical: number; peak: number } =>
    model.elements.reduce(
      (sum, link) => {
        if (link.is === 'load' && link.plus === node)
          return { typical: sum.typical + link.typicalA, peak: sum.peak + link.peakA };
        if (link.is !== 'regulator' || link.input !== node || seen.includes(link.output)) return sum;
        const out = load(link.output, [...seen, node]);
        const factor = link.kindOf === 'linear' ? 1 : link.outV / (link.efficiency * element.outV);
        return {
          typical: sum.typical + out.typical * factor + link.idleA,
          peak: sum.peak + out.peak * factor + link.idleA,
        };
      },
      { typical: 0, peak: 0 },
    );
  const own = load(element.output, []);
  return {
    element,
    own: { ...own, flight: own.typical > 0 && isController(model.kind) },
  };
}

/** A rail and those above it in the same part, with what one ampere on the rail is there. */
function chain(assembly: Assembly, rail: string): { rail: string; factor: number }[] {
  const slot = rail.slice(0, rail.indexOf('/'));
  const { element } = regulatorNamed(assembly, rail);
  const above = assembly.model(slot)!.elements.find((link) => link.is === 'regulator' && link.output === element.input);
  if (above?.is !== 'regulator') return [{ rail, factor: 1 }];
  const factor = element.kindOf === 'linear' ? 1 : element.outV / (element.efficiency * above.outV);
  return [
    { rail, factor: 1 },
    ...chain(assembly, `${slot}/${above.id}`).map((link) => ({ rail: link.rail, factor: link.factor * factor })),
  ];
}
