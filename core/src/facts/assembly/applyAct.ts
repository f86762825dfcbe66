/** What one act does to a Build. Facts are never refused: an act on something that does not exist changes nothing. */
import { splitRef, tailWireId, terminalRef } from '../terms/names';
import type { HousingId, Slot, TerminalRef, WireId } from '../terms/names';
import type { Build, ConnectorRef, Wire, WireEnd } from './build';
import { landedOn, matesOn, onAir } from './build';
import type { Act } from './act';
import type { Assembly } from './assembly';
import { assemble } from './assembly';
import { lookUp } from '../terms/lookUp';

/**
 * What is there after the act; the argument is not changed, and is returned itself when the act changes nothing.
 * @throws {RangeError} If a part is fitted whose model the catalogue lacks.
 */
export function applyAct(assembly: Assembly, act: Act): Assembly {
  return assemble(buildAfter(assembly, act), assembly.catalogue);
}

function buildAfter(assembly: Assembly, act: Act): Build {
  switch (act.do) {
    case 'fit':
      return fit(assembly, act.slot, act.fitted);
    case 'take off':
      return takeOff(assembly.build, act.slot);
    case 'land':
      return land(assembly.build, act);
    case 'reheat':
      return heated(assembly.build, landingOf(assembly.build, act.wire, act.end));
    case 'free': {
      const freed = heated(assembly.build, landingOf(assembly.build, act.wire, act.end));
      return withEnd(freed, act.wire, act.end, { at: { on: 'air', end: act.now }, by: 'none' });
    }
    case 'drop wire':
      return { ...assembly.build, wires: without(assembly.build.wires, act.wire) };
    case 'house':
      return { ...assembly.build, housings: { ...assembly.build.housings, [act.housing.id]: act.housing } };
    case 'unhouse':
      return unhouse(assembly.build, act.housing);
    case 'mate':
      return { ...assembly.build, mates: { ...assembly.build.mates, [act.id]: act.mate } };
    case 'unmate':
      return { ...assembly.build, mates: without(assembly.build.mates, act.id) };
    case 'hide':
      return {
        ...assembly.build,
        hidden: { ...assembly.build.hidden, ...Object.fromEntries(act.refs.map((ref) => [ref, act.by])) },
      };
    case 'bare':
      return { ...assembly.build, hidden: withoutAll(assembly.build.hidden, act.refs) };
    case 'contact':
      return {
        ...assembly.build,
        contacts: [...assembly.build.contacts, { a: act.a, b: act.b, ohms: act.ohms, why: act.why }],
      };
  }
}

function fit(assembly: Assembly, slot: Slot, fitted: Build['slots'][string]): Build {
  const cleared = lookUp(assembly.build.slots, slot) ? takeOff(assembly.build, slot) : assembly.build;
  const tails = assembly.catalogue.model(fitted).tails.map((tail): Wire => {
    const ref = terminalRef(slot, tail.terminal);
    return {
      id: tailWireId(slot, tail.terminal),
      awg: tail.awg,
      colour: tail.colour,
      insulation: tail.insulation,
      from: 'tail',
      tailOf: ref,
      lengthMm: tail.lengthMm,
      via: [],
      ends: [{ at: { on: 'terminal', ref }, by: 'factory' }, onAir],
    };
  });
  return {
    ...cleared,
    slots: { ...cleared.slots, [slot]: fitted },
    wires: { ...cleared.wires, ...Object.fromEntries(tails.map((wire) => [wire.id, wire])) },
  };
}

/** The part goes with its own leads; other wires that were on it hang bare. */
function takeOff(build: Build, slot: Slot): Build {
  const wires: Record<WireId, Wire> = {};
  for (const wire of Object.values(build.wires)) {
    if (wire.tailOf && splitRef(wire.tailOf).slot === slot) continue;
    const lifted = (end: WireEnd) => {
      const ref = landedOn(end);
      return ref && splitRef(ref).slot === slot ? onAir : end;
    };
    wires[wire.id] = { ...wire, ends: [lifted(wire.ends[0]), lifted(wire.ends[1])] };
  }
  const inSlot = (ref: string) => splitRef(ref as TerminalRef).slot === slot;
  return {
    ...build,
    slots: without(build.slots, slot),
    wires,
    mates: withoutAll(build.mates, matesOn(slot, build)),
    contacts: build.contacts.filter(({ a, b }) => !inSlot(a) && !inSlot(b)),
    hidden: withoutAll(build.hidden, Object.keys(build.hidden).filter(inSlot)),
    heats: withoutAll(build.heats, Object.keys(build.heats).filter(inSlot)),
  };
}

/** Landing an end where it already is changes nothing: the same joint told twice is one joint. */
function land(build: Build, act: Extract<Act, { do: 'land' }>): Build {
  const before = lookUp(build.wires, act.wire);
  const wire: Wire = before ?? { ...act.body, id: act.wire, ends: [onAir, onAir] };
  if (before && JSON.stringify(before.ends[act.end].at) === JSON.stringify(act.as.at)) return build;
  const landed = withEnd({ ...build, wires: { ...build.wires, [act.wire]: wire } }, act.wire, act.end, act.as);
  return act.as.by === 'solder' ? heated(landed, landedOn(act.as)) : landed;
}

function unhouse(build: Build, housing: HousingId): Build {
  const uses = (side: ConnectorRef) => 'housing' in side && side.housing === housing;
  const mates = Object.entries(build.mates).filter(([, mate]) => !uses(mate.a) && !uses(mate.b));
  return { ...build, housings: without(build.housings, housing), mates: Object.fromEntries(mates) };
}

function landingOf(build: Build, wire: WireId, end: 0 | 1): TerminalRef | null {
  const found = lookUp(build.wires, wire);
  return found ? landedOn(found.ends[end]) : null;
}

function heated(build: Build, ref: TerminalRef | null): Build {
  return ref ? { ...build, heats: { ...build.heats, [ref]: (lookUp(build.heats, ref) ?? 0) + 1 } } : build;
}

function withEnd(build: Build, id: WireId, end: 0 | 1, as: WireEnd): Build {
  const wire = lookUp(build.wires, id);
  if (!wire) return build;
  const ends: Wire['ends'] = end === 0 ? [as, wire.ends[1]] : [wire.ends[0], as];
  return { ...build, wires: { ...build.wires, [id]: { ...wire, ends } } };
}

function without<T>(table: Readonly<Record<string, T>>, key: string): Record<string, T> {
  return withoutAll(table, [key]);
}

function withoutAll<T>(table: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> {
  const gone = new Set(keys);
  return Object.fromEntries(Object.entries(table).filter(([key]) => !gone.has(key)));
}
