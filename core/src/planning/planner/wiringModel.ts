/**
 * The wiring as a mixed-integer model. y: a wish is served in one way; drop: it is not; u: a part is wired; x: a terminal
 * goes to a pad; over: a rail carries more than is planned for; d: wires on a pad beyond the first; split: an ESC's plus
 * and minus are not on a pair.
 * Aims in this order: loss of wishes, then rails over plan, doubled pads and split pairs, then millimetres of wire.
 */
import { planShare } from '../../physics/loads/supplyTree';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { Wish } from '../../facts/plan/wish';
import { regulatorOn } from './feeds';
import type { Crowd } from './crowding';
import { crowdWeight } from './crowding';
import type { Need } from './needs';
import { alwaysWired } from './needs';
import type { Option } from './options';
import { wireLengthMm } from '../../physics/geometry/place';
import { partners, thickPairs } from './pairs';
import type { PowerPath } from './powerPath';
import type { Constraint, LinearModel, Terms } from '../../facts/terms/solver';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';

export interface WiringInput {
  assembly: Assembly;
  path: PowerPath;
  needs: readonly Need[];
  wishes: readonly Wish[];
  options: readonly Option[];
  pinned: readonly Pinned[];
  /** Joints that exist already, as `own>pad`: making them again costs nothing. */
  kept: ReadonlySet<string>;
}

export interface WiringModel {
  constraints: readonly Constraint[];
  binaries: readonly string[];
  counts: readonly string[];
  loss: Terms;
  /** Counts of what crowds, by kind. */
  crowds: Readonly<Record<Crowd, readonly string[]>>;
  length: Terms;
}

/** A soldered end weighs as much as this much wire: a plug is quicker and comes off again. */
const solderMm = 15;
/** What a joint that is there already saves: least rework, then least wire. */
const reworkMm = 150;

export const joinName = (own: TerminalRef, pad: TerminalRef) => `x ${own}>${pad}`;
export const optionName = (id: string) => `y ${id}`;
export const dropName = (wish: string) => `drop ${wish}`;
const usedName = (slot: Slot) => `u ${slot}`;
const doubledName = (pad: TerminalRef) => `d ${pad}`;
const splitName = (slot: Slot) => `split ${slot}`;

/** Everything that crowds, in its weight. */
export function crowdingOf({ crowds }: WiringModel): Terms {
  return (Object.keys(crowds) as Crowd[]).flatMap((kind) =>
    crowds[kind].map((name) => [name, crowdWeight[kind]] as const),
  );
}

/** A model with one aim of the three; `held` are the aims that were reached before it. */
export function withAim(
  { constraints, binaries, counts }: WiringModel,
  minimise: Terms,
  held: readonly Constraint[],
): LinearModel {
  return { minimise, constraints: [...constraints, ...held], binaries, counts };
}

export function wiringModel(input: WiringInput): WiringModel {
  const { wishes, needs, path } = input;
  const constraints: Constraint[] = [];
  const add = (terms: Terms, is: Constraint['is'], value: number) => constraints.push({ terms, is, value });
  const pinnedPort = new Map(input.pinned.filter(({ what }) => what === 'port').map(({ of, value }) => [of, value]));
  const options = input.options.filter((one) => {
    const port = pinnedPort.get(one.wish);
    return !port || one.ends.some((end) => `${end.slot}/${end.port}` === port);
  });
  const pinnedPad = new Map(input.pinned.filter(({ what }) => what === 'terminal').map(({ of, value }) => [of, value]));
  const may = (own: TerminalRef, pad: TerminalRef) => !pinnedPad.has(own) || pinnedPad.get(own) === pad;
  const joins = new Map<string, { own: TerminalRef; pad: TerminalRef }>();
  const join = (own: TerminalRef, pad: TerminalRef) => {
    const name = joinName(own, pad);
    joins.set(name, { own, pad });
    return name;
  };

  for (const wish of wishes)
    add(
      [
        ...options.filter(({ wish: id }) => id === wish.id).map((one) => [optionName(one.id), 1] as const),
        [dropName(wish.id), 1],
      ],
      '=',
      1,
    );
  for (const wish of wishes) if (wish.must) add([[dropName(wish.id), 1]], '=', 0);
  const ports = new Set(options.flatMap(({ takes }) => takes));
  for (const port of ports) {
    const users = options.filter(({ takes }) => takes.includes(port));
    if (users.length > 1)
      add(
        users.map((one) => [optionName(one.id), 1]),
        '<=',
        1,
      );
  }

  // A part is wired when a wish needs it, and only then.
  const wished = new Map<Slot, Option[]>();
  for (const one of options)
    for (const slot of new Set([wishes.find(({ id }) => id === one.wish)!.of, ...one.parts]))
      wished.set(slot, [...(wished.get(slot) ?? []), one]);
  const variable = (slot: Slot) => !alwaysWired(input.assembly.model(slot)!.kind);
  const slots = new Set([...wished.keys(), ...needs.map(({ slot }) => slot)]);
  for (const slot of slots) {
    const users = wished.get(slot) ?? [];
    const feeds = needs.flatMap(({ own, slot: fed, pads }) =>
      pads
        .filter(({ ref }) => fed !== slot && splitRef(ref).slot === slot && may(own, ref))
        .map(({ ref }) => [join(own, ref), -1] as const),
    );
    for (const one of users)
      add(
        [
          [usedName(slot), 1],
          [optionName(one.id), -1],
        ],
        '>=',
        0,
      );
    if (variable(slot))
      add(
        [
          [usedName(slot), 1],
          ...users.map((one) => [optionName(one.id), -1] as const),
          ...(users.length === 0 ? feeds : []),
        ],
        '<=',
        0,
      );
    else add([[usedName(slot), 1]], '=', 1);
  }

  // A ground on a small part goes with a supply from it: else two parts could each be the other's ground.
  const fromHost = (slot: Slot, host: Slot) =>
    needs
      .filter((one) => one.slot === slot && one.is === 'supply')
      .flatMap(({ own, pads }) =>
        pads.filter(({ ref }) => splitRef(ref).slot === host && may(own, ref)).map(({ ref }) => joinName(own, ref)),
      );
  for (const need of needs) {
    const pads = need.pads.filter(({ ref }) => may(need.own, ref));
    add([...pads.map(({ ref }) => [join(need.own, ref), 1] as const), [usedName(need.slot), -1]], '=', 0);
    for (const { ref } of pads) {
      const host = splitRef(ref).slot;
      if (slots.has(host) && variable(host))
        add(
          [
            [joinName(need.own, ref), 1],
            [usedName(host), -1],
          ],
          '<=',
          0,
        );
      if (need.is === 'ground' && variable(host))
        add([[joinName(need.own, ref), 1], ...fromHost(need.slot, host).map((name) => [name, -1] as const)], '<=', 0);
    }
  }
  const signals = new Map<TerminalRef, Option[]>();
  for (const one of options) for (const { own } of one.signals) signals.set(own, [...(signals.get(own) ?? []), one]);
  for (const [own, users] of signals) {
    const pads = new Set(
      users
        .flatMap((one) => one.signals.filter((signal) => signal.own === own).flatMap((signal) => signal.pads))
        .filter((pad) => may(own, pad)),
    );
    add(
      [
        ...[...pads].map((pad) => [join(own, pad), 1] as const),
        ...users.map((one) => [optionName(one.id), -1] as const),
      ],
      '=',
      0,
    );
    for (const pad of pads) {
      const allow = users.filter((one) =>
        one.signals.some((signal) => signal.own === own && signal.pads.includes(pad)),
      );
      add([[joinName(own, pad), 1], ...allow.map((one) => [optionName(one.id), -1] as const)], '<=', 0);
    }
  }

  const fixed = new Map<TerminalRef, number>();
  for (const { own, to } of path.joins) for (const ref of [own, to]) fixed.set(ref, (fixed.get(ref) ?? 0) + 1);
  const onPad = new Map<TerminalRef, string[]>();
  for (const [name, { own, pad }] of joins)
    for (const ref of [own, pad]) onPad.set(ref, [...(onPad.get(ref) ?? []), name]);
  const doubled: TerminalRef[] = [];
  for (const [ref, names] of onPad) {
    const { holds } = input.assembly.terminal(ref)!;
    const taken = fixed.get(ref) ?? 0;
    if (names.length + taken > holds)
      add(
        names.map((name) => [name, 1]),
        '<=',
        Math.max(0, holds - taken),
      );
    if (names.length + taken > 1 && holds > 1) {
      doubled.push(ref);
      add([[doubledName(ref), 1], ...names.map((name) => [name, -1] as const)], '>=', taken - 1);
    }
  }
  // A plus pad and not its own minus pad: the pair is split.
  const thick = thickPairs(needs);
  for (const { slot, supply, ground } of thick) {
    for (const [plus, minus] of partners(supply, ground, input.assembly)) {
      if (may(supply.own, plus))
        add(
          [
            [joinName(supply.own, plus), 1],
            ...(may(ground.own, minus) ? [[joinName(ground.own, minus), -1] as const] : []),
            [splitName(slot), -1],
          ],
          '<=',
          0,
        );
    }
  }
  const rails = railLimits(input, add);
  const lengths = [...joins].map(([name, { own, pad }]): [string, number] => {
    const kept = input.kept.has(`${own}>${pad}`) || input.kept.has(`${pad}>${own}`);
    const soldered = input.assembly.terminal(pad)!.form === 'pin' ? 0 : solderMm;
    return [name, kept ? 0 : wireLengthMm(input.assembly, own, pad) + soldered + (input.kept.size > 0 ? reworkMm : 0)];
  });
  return {
    constraints,
    binaries: [
      ...options.map((one) => optionName(one.id)),
      ...wishes.map((one) => dropName(one.id)),
      ...[...slots].map(usedName),
      ...joins.keys(),
      ...rails.map((rail) => `over ${rail}`),
      ...thick.map(({ slot }) => splitName(slot)),
    ],
    counts: doubled.map(doubledName),
    loss: [
      ...wishes.map((one) => [dropName(one.id), one.lossIfDropped] as const),
      ...options.filter(({ loss }) => loss > 0).map((one) => [optionName(one.id), one.loss] as const),
    ],
    crowds: {
      doubled: doubled.map(doubledName),
      'over plan': rails.map((rail) => `over ${rail}`),
      split: thick.map(({ slot }) => splitName(slot)),
      'listened to': [...joins].filter(([, { pad }]) => listenedTo(input, pad)).map(([name]) => name),
      nominal: needs.flatMap(({ own, pads }) =>
        pads.filter(({ ref, doubtful }) => doubtful && may(own, ref)).map(({ ref }) => joinName(own, ref)),
      ),
    },
    length: lengths,
  };
}

/** A boot loader listens there when the board starts: a part that talks there is in the way of flashing. */
function listenedTo({ assembly }: WiringInput, pad: TerminalRef): boolean {
  const { ports } = assembly.model(splitRef(pad).slot)!;
  return assembly
    .terminal(pad)!
    .roles.some(
      (role) =>
        role.is === 'port' &&
        role.pin === 'rx' &&
        ports.some(({ id, speaks }) => id === role.port && speaks.includes('bootLoader')),
    );
}

/** Typical load within a regulator's limit; peaks too where a controller or a receiver hangs on it. Gives the rails that have a limit. */
function railLimits(
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
        flight: assembly.model(slot)!.kind === 'receiver',
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
      .elements.find((one) => one.is === 'load' && one.plus === assembly.terminal(own)!.node);
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
    add(
      users.map(({ name, typical }) => [name, typical]),
      '<=',
      element.limitA - own.typical,
    );
    const typicalPlan = Math.min(element.limitA * planShare, element.stillAirA);
    add(
      [...users.map(({ name, typical }) => [name, typical] as const), [`over ${rail}`, -most]],
      '<=',
      typicalPlan - own.typical,
    );
    if (own.flight)
      add(
        users.map(({ name, peak }) => [name, peak]),
        '<=',
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
          [...users.map((one) => [one.name, one.peak + (one.name === name ? most : 0)] as const)],
          '<=',
          element.limitA - own.peak + most,
        );
    }
  }
  return [...drawn.keys()];
}

function regulatorNamed(assembly: Assembly, rail: string) {
  const [slot, id] = [rail.slice(0, rail.indexOf('/')), rail.slice(rail.indexOf('/') + 1)];
  const model = assembly.model(slot)!;
  const element = model.elements.find((one) => one.id === id)!;
  if (element.is !== 'regulator') throw new RangeError(`no regulator ${rail}`);
  const load = (node: string, seen: readonly string[]): { typical: number; peak: number } =>
    model.elements.reduce(
      (sum, one) => {
        if (one.is === 'load' && one.plus === node)
          return { typical: sum.typical + one.typicalA, peak: sum.peak + one.peakA };
        if (one.is !== 'regulator' || one.input !== node || seen.includes(one.output)) return sum;
        const out = load(one.output, [...seen, node]);
        const factor = one.kindOf === 'linear' ? 1 : one.outV / (one.efficiency * element.outV);
        return {
          typical: sum.typical + out.typical * factor + one.idleA,
          peak: sum.peak + out.peak * factor + one.idleA,
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
  const above = assembly.model(slot)!.elements.find((one) => one.is === 'regulator' && one.output === element.input);
  if (above?.is !== 'regulator') return [{ rail, factor: 1 }];
  const factor = element.kindOf === 'linear' ? 1 : element.outV / (element.efficiency * above.outV);
  return [
    { rail, factor: 1 },
    ...chain(assembly, `${slot}/${above.id}`).map((one) => ({ rail: one.rail, factor: one.factor * factor })),
  ];
}
