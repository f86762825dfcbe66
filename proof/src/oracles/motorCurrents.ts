/**
 * What the motors' current does to wires and channels, by a solve of the copper between the pack and what drives them:
 * every wire a resistance, every driver a sink. It knows nothing of rules or of the core's trees. Units: A, mm, ohm.
 */
import type { Build, Catalogue, PartModel, TerminalRef } from '@junctor/core';
import { nodal } from './dcSolve';

const aPerMm2 = 10;
const contactOhms = 0.005;

interface Edge {
  a: string;
  b: string;
  siemens: number;
  /** Amperes that it bears for ever. */
  bears: number;
}

/** Why the motors' current is too much for something, by twice or more in copper; null: it is not. */
export function overcurrent(build: Build, catalogue: Catalogue): string | null {
  const model = (slot: string) => catalogue.model(build.slots[slot]!);
  const motors = drivenMotors(build, model);
  for (const { motor, driver } of motors) {
    const [draws, bears] = [model(motor).motorCurrent, model(driver).motorCurrent];
    if (draws && bears && (draws.peakA > bears.peakA || draws.typicalA > bears.typicalA))
      return `${motor} draws more than a channel of ${driver} bears`;
    const thin = Object.values(build.wires).find(
      (wire) =>
        wire.ends.some(({ at }) => at.on === 'terminal' && slotOf(at.ref) === motor) &&
        (draws?.typicalA ?? 0) > 2 * aPerMm2 * mm2(wire.awg),
    );
    if (thin) return `a lead of ${motor} is too thin`;
  }
  const sinks = new Map<string, number>();
  for (const { motor, driver } of motors)
    sinks.set(driver, (sinks.get(driver) ?? 0) + (model(motor).motorCurrent?.typicalA ?? 0));
  const lead = Object.keys(build.slots).find((slot) => model(slot).kind === 'battery lead');
  if (!lead || sinks.size === 0) return null;
  const edges = edgesOf(build, model);
  for (const is of ['supply', 'ground'] as const) {
    const node = (slot: string) =>
      model(slot).terminals.find(({ roles }) => roles.some((role) => role.is === is))?.node;
    const from = `${lead}:${node(lead)}`;
    // What hangs on nothing draws nothing.
    const own = reach(edges, from);
    const drawn = new Map([...sinks].map(([slot, amps]) => [`${slot}:${node(slot)}`, amps] as const));
    const volts = nodal(edges, from, new Map([...drawn].filter(([point]) => own.has(point))));
    const hot = edges.find(
      ({ a, b, siemens, bears }) => Math.abs((volts.get(a) ?? 0) - (volts.get(b) ?? 0)) * siemens > 2 * bears * 1.001,
    );
    if (hot) return `${hot.a} to ${hot.b} carries too much`;
  }
  return null;
}

/** True where what drives motors has no thick copper of its own to the pack's minus, though a thin way is there. */
export function motorsThroughSignal(build: Build, catalogue: Catalogue): string | null {
  const model = (slot: string) => catalogue.model(build.slots[slot]!);
  const lead = Object.keys(build.slots).find((slot) => model(slot).kind === 'battery lead');
  if (!lead) return null;
  const point = (slot: string, is: 'supply' | 'ground') =>
    `${slot}:${model(slot).terminals.find(({ roles }) => roles.some((role) => role.is === is))?.node}`;
  const all = edgesOf(build, model);
  const minus = point(lead, 'ground');
  const [any, thick] = [
    reach(all, minus),
    reach(
      all.filter(({ bears }) => bears > 3),
      minus,
    ),
  ];
  const plus = reach(all, point(lead, 'supply'));
  return (
    Object.keys(build.slots).find(
      (slot) =>
        model(slot).ports.some(({ kind, way }) => kind === 'motorPhase' && way === 'gives') &&
        plus.has(point(slot, 'supply')) &&
        any.has(point(slot, 'ground')) &&
        !thick.has(point(slot, 'ground')),
    ) ?? null
  );
}

function drivenMotors(build: Build, model: (slot: string) => PartModel): { motor: string; driver: string }[] {
  const isPhase = (ref: TerminalRef, way: string) => {
    const of = model(slotOf(ref));
    const roles = of.terminals.find(({ id }) => `${slotOf(ref)}.${id}` === ref)?.roles ?? [];
    return roles.some(
      (role) =>
        role.is === 'port' &&
        of.ports.some(({ id, kind, way: its }) => id === role.port && kind === 'motorPhase' && its === way),
    );
  };
  const found = new Map<string, string>();
  for (const { ends } of Object.values(build.wires)) {
    const [one, other] = ends.map(({ at }) => (at.on === 'terminal' ? at.ref : null));
    for (const [a, b] of [
      [one, other],
      [other, one],
    ] as const)
      if (a && b && isPhase(a, 'takes') && isPhase(b, 'gives')) found.set(slotOf(a), found.get(slotOf(a)) ?? slotOf(b));
  }
  return [...found].map(([motor, driver]) => ({ motor, driver }));
}

function edgesOf(build: Build, model: (slot: string) => PartModel): Edge[] {
  const at = (ref: TerminalRef) => {
    const terminal = model(slotOf(ref)).terminals.find(({ id }) => `${slotOf(ref)}.${id}` === ref);
    return terminal ? `${slotOf(ref)}:${terminal.node}` : null;
  };
  const wires = Object.values(build.wires).flatMap((wire): Edge[] => {
    const [a, b] = wire.ends.map(({ at: end }) => {
      if (end.on === 'terminal') return at(end.ref);
      return end.on === 'cavity' ? `${end.housing}#${end.position}` : null;
    });
    const ohms = (1.724e-5 * (wire.lengthMm ?? 100)) / mm2(wire.awg) + 0.001;
    return a && b && a !== b ? [{ a, b, siemens: 1 / ohms, bears: aPerMm2 * mm2(wire.awg) }] : [];
  });
  const contacts = Object.values(build.mates).flatMap(({ a, b, shift, mirrored }) => {
    const points = (side: typeof a) =>
      'housing' in side
        ? Array.from({ length: build.housings[side.housing]?.ways ?? 0 }, (_, index) => `${side.housing}#${index + 1}`)
        : (model(side.slot).connectors.find(({ id }) => id === side.connector)?.pins ?? []).map((pin) =>
            at(`${side.slot}.${pin}`),
          );
    const rated = [a, b].flatMap((side) =>
      'slot' in side ? (model(side.slot).connectors.find(({ id }) => id === side.connector)?.ampsPerPin ?? []) : [],
    );
    const [left, right] = [points(a), points(b)];
    return left.flatMap((one, index): Edge[] => {
      const other = right[(mirrored ? right.length - 1 - index : index) + shift];
      return one && other ? [{ a: one, b: other, siemens: 1 / contactOhms, bears: Math.min(...rated, 999) }] : [];
    });
  });
  return [...wires, ...contacts];
}

/** Every point that hangs together with one. */
function reach(edges: readonly Edge[], from: string): ReadonlySet<string> {
  const seen = new Set([from]);
  for (const at of seen) for (const { a, b } of edges) if (a === at || b === at) seen.add(a === at ? b : a);
  return seen;
}

function mm2(awg: number): number {
  return (Math.PI / 4) * (0.127 * 92 ** ((36 - awg) / 39)) ** 2;
}

function slotOf(ref: TerminalRef): string {
  return ref.slice(0, ref.indexOf('.'));
}
