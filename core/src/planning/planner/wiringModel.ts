/**
 * The wiring as a mixed-integer model. y: a wish is served in one way; drop: it is not; u: a part is wired; x: a
 * terminal goes to a pad; over: a rail carries more than is planned for; d: wires on a pad beyond the first; split: an
 * ESC's plus and minus are not on a pair; apart: a part's ground is on another board than its supply; dark: a part is
 * fed only once software has switched it on.
 * Aims in this order: loss of wishes, then rails over plan and grounds apart, doubled pads and split pairs, then
 * millimetres of wire.
 */
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { SoftPenalty } from './softPenalties';
import { penaltyWeight } from './softPenalties';
import { alwaysWired } from './needs';
import { joinMm } from '../../physics/layout/wireLength';
import type { Need } from './needs';
import { pairsOf, partners } from './pairs';
import type { Constraint, LinearModel, Terms } from '../../facts/terms/solver';
import type { Option } from './ways';
import type { WiringInput, WiringModel } from './wiringVariables';
import { apartName, joinName, optionName, dropName, usedName, doubledName, splitName } from './wiringVariables';
import { servedInTurn } from './alike';
import { liveBefore } from './liveBefore';
import { railLimits } from './railLimits';

/** A soldered end weighs as much as this much wire: a plug is quicker and comes off again. */
const solderMm = 15;
/** What a joint that is there already saves: least rework, then least wire. */
const reworkMm = 150;

/** Every soft penalty, in its weight. */
export function penaltiesOf({ penalised }: WiringModel): Terms {
  return (Object.keys(penalised) as SoftPenalty[]).flatMap((kind) =>
    penalised[kind].map((name) => [name, penaltyWeight[kind]] as const),
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
  const options = input.options.filter((option) => {
    const port = pinnedPort.get(option.wish);
    return !port || option.ends.some((end) => `${end.slot}/${end.port}` === port);
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
        ...options.filter(({ wish: id }) => id === wish.id).map((option) => [optionName(option.id), 1] as const),
        [dropName(wish.id), 1],
      ],
      '=',
      1,
    );
  for (const wish of wishes) if (wish.must) add([[dropName(wish.id), 1]], '=', 0);
  servedInTurn(input, add);
  const ports = new Set(options.flatMap(({ takes }) => takes));
  for (const port of ports) {
    const users = options.filter(({ takes }) => takes.includes(port));
    if (users.length > 1)
      add(
        users.map((user) => [optionName(user.id), 1]),
        '<=',
        1,
      );
  }

  // A part is wired when a wish needs it, and only then.
  const wished = new Map<Slot, Option[]>();
  for (const one of options)
    for (const slot of new Set([wishes.find(({ id }) => id === one.wish)!.of, ...one.parts]))
      wished.set(slot, [...(wished.get(slot) ?? []), one]);
  const variable = (slot: Slot) => !input.roomyFor?.has(slot) && !alwaysWired(input.assembly.model(slot)!);
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
          ...users.map((user) => [optionName(user.id), -1] as const),
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
      .filter((need) => need.slot === slot && need.is === 'supply')
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
        .flatMap((user) => user.signals.filter((signal) => signal.own === own).flatMap((signal) => signal.pads))
        .filter((pad) => may(own, pad)),
    );
    add(
      [
        ...[...pads].map((pad) => [join(own, pad), 1] as const),
        ...users.map((user) => [optionName(user.id), -1] as const),
      ],
      '=',
      0,
    );
    for (const pad of pads) {
      const allow = users.filter((user) =>
        user.signals.some((signal) => signal.own === own && signal.pads.includes(pad)),
      );
      add([[joinName(own, pad), 1], ...allow.map((option) => [optionName(option.id), -1] as const)], '<=', 0);
    }
  }

  const fixed = new Map<TerminalRef, number>();
  for (const { own, to } of path.joins) for (const ref of [own, to]) fixed.set(ref, (fixed.get(ref) ?? 0) + 1);
  const onPad = new Map<TerminalRef, string[]>();
  for (const [name, { own, pad }] of joins)
    for (const ref of [own, pad]) onPad.set(ref, [...(onPad.get(ref) ?? []), name]);
  const doubled: TerminalRef[] = [];
  for (const [ref, names] of onPad) {
    const holds = input.roomyFor ? Infinity : input.assembly.terminal(ref)!.holds;
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
  const thick = pairsOf(needs, 'motor current');
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
  // Fed from a board on which its ground is not: a plug between the two takes the ground and leaves the supply.
  const thin = pairsOf(needs, 'little');
  for (const { slot, supply, ground } of thin)
    for (const host of new Set(supply.pads.map(({ ref }) => splitRef(ref).slot))) {
      const on = (need: Need, factor: number) =>
        need.pads
          .filter(({ ref }) => splitRef(ref).slot === host && may(need.own, ref))
          .map(({ ref }) => [joinName(need.own, ref), factor] as const);
      add([...on(supply, 1), ...on(ground, -1), [apartName(slot), -1]], '<=', 0);
    }
  const dark = liveBefore(input, may, add);
  const rails = railLimits(input, add);
  const lengths = [...joins].map(([name, { own, pad }]): [string, number] => {
    const kept = input.kept.has(`${own}>${pad}`) || input.kept.has(`${pad}>${own}`);
    const soldered = input.assembly.terminal(pad)!.form === 'pin' ? 0 : solderMm;
    return [name, kept ? 0 : joinMm(input.assembly, own, pad) + soldered + (input.kept.size > 0 ? reworkMm : 0)];
  });
  return {
    constraints,
    binaries: [
      ...options.map((option) => optionName(option.id)),
      ...wishes.map((wish) => dropName(wish.id)),
      ...[...slots].map(usedName),
      ...dark,
      ...joins.keys(),
      ...rails.map((rail) => `over ${rail}`),
      ...thick.map(({ slot }) => splitName(slot)),
      ...thin.map(({ slot }) => apartName(slot)),
    ],
    counts: doubled.map(doubledName),
    loss: [
      ...wishes.map((wish) => [dropName(wish.id), wish.lossIfDropped] as const),
      ...options.filter(({ loss }) => loss > 0).map((option) => [optionName(option.id), option.loss] as const),
    ],
    penalised: {
      doubled: doubled.map(doubledName),
      'over plan': rails.map((rail) => `over ${rail}`),
      apart: thin.map(({ slot }) => apartName(slot)),
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
