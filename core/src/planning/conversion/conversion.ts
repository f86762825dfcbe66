/**
 * From a build as it is to another: what stays, what comes off, what is added, and what that means at the bench:
 * joints to open, pads to clean, contacts to take out and insulate, ports freed and taken, outputs and board that lie
 * another way.
 */
import { isSupply } from '../../facts/catalogue/roles';
import type { Build, Wire } from '../../facts/assembly/build';
import { isAttached, landedOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { difference } from '../../facts/assembly/difference';
import type { HousingId, Slot, TerminalRef, WireId } from '../../facts/terms/names';
import { jointName, splitRef } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';
import type { AlignmentChange, MotorChange } from './motorChanges';
import { alignmentChange, motorChanges } from './motorChanges';
import type { Assembly } from '../../facts/assembly/assembly';
import { portsUsed } from './portsUsed';
import { lengthMmOf } from '../../physics/layout/wireLength';
import { lookUp } from '../../facts/terms/lookUp';

export interface Conversion {
  /** Parts and wires that are not touched. */
  stays: { parts: readonly Slot[]; wires: readonly WireId[] };
  /** In an order in which they can be made; their effects lead from the one build exactly to the other. */
  changes: readonly Change[];
  /** Soldered joints to open, as `W3.b`. */
  opens: readonly string[];
  /** Pads that are free afterwards or take another wire: old solder off. */
  cleans: readonly TerminalRef[];
  contactsOut: readonly { wire: WireId; housing: HousingId; position: number }[];
  /** Ports of boards, as `FC/UART2`. */
  portsFreed: readonly string[];
  portsTaken: readonly string[];
  partsOff: readonly { slot: Slot; model: string }[];
  partsOn: readonly { slot: Slot; model: string }[];
  /** Parts that stay in with nothing wired to them. */
  dormant: readonly Slot[];
  /** Outputs that drive another corner than before. */
  motors: readonly MotorChange[];
  alignment: AlignmentChange | null;
  work: Work;
}

/**
 * What the hands do: joints opened and made, contacts moved, plugs, parts; and the wire that it takes, without what
 * parts bring.
 */
export interface Work {
  jointsOpened: number;
  jointsMade: number;
  contacts: number;
  plugs: number;
  parts: number;
  newWireMm: number;
}

export function conversion(from: Assembly, to: Assembly): Conversion {
  const changes = difference(from.build, to.build);
  const touched = new Set(
    changes.flatMap(({ about }) => (about.kind === 'joint' || about.kind === 'wire' ? [about.wire] : [])),
  );
  const opened = openedEnds(from.build, changes);
  const soldered = opened.filter(({ wire, end }) => lookUp(from.build.wires, wire)!.ends[end].by === 'solder');
  const [before, after] = [portsUsed(from), portsUsed(to)];
  const swapped = (slot: Slot) => lookUp(from.build.slots, slot)?.model !== lookUp(to.build.slots, slot)?.model;
  return {
    stays: {
      parts: Object.keys(to.build.slots).filter((slot) => Object.hasOwn(from.build.slots, slot) && !swapped(slot)),
      wires: Object.keys(to.build.wires).filter((id) => Object.hasOwn(from.build.wires, id) && !touched.has(id)),
    },
    changes,
    opens: soldered.map(({ wire, end }) => jointName(wire, end)),
    cleans: [
      ...new Set(
        soldered
          .map(({ wire, end }) => landedOn(lookUp(from.build.wires, wire)!.ends[end])!)
          .filter((ref) => Object.hasOwn(to.build.slots, splitRef(ref).slot) && !swapped(splitRef(ref).slot)),
      ),
    ],
    contactsOut: opened.flatMap(({ wire, end }) => {
      const { at } = lookUp(from.build.wires, wire)!.ends[end];
      return at.on === 'cavity' && lookUp(to.build.housings, at.housing)
        ? [{ wire, housing: at.housing, position: at.position }]
        : [];
    }),
    portsFreed: [...before].filter((port) => !after.has(port)),
    portsTaken: [...after].filter((port) => !before.has(port)),
    partsOff: Object.entries(from.build.slots)
      .filter(([slot]) => swapped(slot))
      .map(([slot, { model }]) => ({ slot, model })),
    partsOn: Object.entries(to.build.slots)
      .filter(([slot]) => swapped(slot))
      .map(([slot, { model }]) => ({ slot, model })),
    dormant: dormantParts(to),
    motors: motorChanges(from, to),
    alignment: alignmentChange(from, to),
    work: workOf(from.build, changes, to),
  };
}

/** Ends of wires that are lifted: freed ones, and both of a wire that goes, also with the part it belongs to. */
function openedEnds(from: Build, changes: readonly Change[]): { wire: WireId; end: 0 | 1 }[] {
  const ends = new Map<string, { wire: WireId; end: 0 | 1 }>();
  const add = (wire: WireId, end: 0 | 1) => {
    if (isAttached(lookUp(from.wires, wire)!.ends[end])) ends.set(jointName(wire, end), { wire, end });
  };
  for (const { verb, about } of changes) {
    if (verb === 'free') add(about.wire, about.end);
    const goneOf = () => {
      if (verb === 'drop') return [about.wire];
      if (verb === 'take')
        return Object.values(from.wires)
          .filter(({ tailOf }) => tailOf && splitRef(tailOf).slot === about.slot)
          .map(({ id }) => id);
      return [];
    };
    const gone = goneOf();
    for (const wire of gone) for (const end of [0, 1] as const) add(wire, end);
  }
  return [...ends.values()];
}

/** @param to What the changes lead to: the length of a new wire follows from where its parts lie. */
export function workOf(from: Build, changes: readonly Change[], to: Assembly): Work {
  const opened = openedEnds(from, changes).map(({ wire, end }) => lookUp(from.wires, wire)!.ends[end].by);
  const landed = changes.flatMap(({ effect }) => effect.flatMap((act) => (act.do === 'land' ? [act.as.by] : [])));
  const count = (...verbs: Change['verb'][]) => changes.filter(({ verb }) => verbs.includes(verb)).length;
  return {
    jointsOpened: opened.filter((by) => by === 'solder').length,
    jointsMade: landed.filter((by) => by === 'solder').length,
    contacts: opened.filter((by) => by === 'crimp').length + landed.filter((by) => by === 'crimp').length,
    plugs: count('mate', 'unmate'),
    parts: count('take', 'fit'),
    newWireMm: newWires(from, changes, to).reduce((mm, wire) => mm + lengthMmOf(to, wire), 0),
  };
}

/** Wires that are not there before and belong to no part. */
function newWires(from: Build, changes: readonly Change[], { build }: Assembly): Wire[] {
  const landed = changes.flatMap(({ effect }) => effect.flatMap((act) => (act.do === 'land' ? [act.wire] : [])));
  return [...new Set(landed)].flatMap((id) => {
    const wire = lookUp(build.wires, id);
    return wire && wire.from !== 'tail' && !Object.hasOwn(from.wires, id) ? [wire] : [];
  });
}

/** Parts that want a supply and have no wire and no plug on them, or none that leads anywhere. */
export function dormantParts(assembly: Assembly): Slot[] {
  const nets = netlist(assembly);
  return Object.keys(assembly.build.slots).filter((slot) => {
    const model = assembly.model(slot)!;
    const takes = model.terminals.filter((terminal) => isSupply(terminal, 'takes'));
    return (
      takes.length > 0 &&
      takes.every(({ id }) => nets.netOf(`${slot}.${id}`)!.terminals.every((ref) => splitRef(ref).slot === slot))
    );
  });
}
