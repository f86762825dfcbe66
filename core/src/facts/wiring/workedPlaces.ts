/** What work had its hands on: pads and pins, wires, plugs and parts; not the rest of the copper that these are on. */
import type { Act } from '../assembly/act';
import type { Assembly } from '../assembly/assembly';
import type { WireEnd } from '../assembly/build';
import { landedOn } from '../assembly/build';
import { lookUp } from '../terms/lookUp';
import type { Slot, TerminalRef, WireId } from '../terms/names';
import { namedTerminals } from './touchedBy';

export interface WorkedPlaces {
  terminals: ReadonlySet<TerminalRef>;
  wires: ReadonlySet<WireId>;
  mates: ReadonlySet<string>;
  slots: ReadonlySet<Slot>;
}

/** @param builds As it was and as it becomes: an act names a wire, these say where that ends. */
export function workedPlaces(acts: readonly Act[], builds: readonly Assembly[]): WorkedPlaces {
  const terminals = new Set<TerminalRef>();
  const wires = new Set<WireId>();
  const mates = new Set<string>();
  const slots = new Set<Slot>();
  for (const act of acts) {
    if ('slot' in act) slots.add(act.slot);
    if ('wire' in act) wires.add(act.wire);
    if (act.do === 'mate' || act.do === 'unmate') mates.add(act.id);
    if (act.do === 'land') landed(act.as).forEach((ref) => terminals.add(ref));
    for (const assembly of builds) {
      for (const ref of namedTerminals(act, assembly)) terminals.add(ref);
      if ('end' in act)
        landed(lookUp(assembly.build.wires, act.wire)?.ends[act.end]).forEach((ref) => terminals.add(ref));
      if (act.do === 'mate' || act.do === 'unmate') wiresIn(assembly, act.id).forEach((wire) => wires.add(wire));
    }
  }
  return { terminals, wires, mates, slots };
}

function landed(end: WireEnd | undefined): TerminalRef[] {
  const ref = end && landedOn(end);
  return ref ? [ref] : [];
}

/** Wires with a contact in a housing of that plug. */
function wiresIn({ build }: Assembly, id: string): WireId[] {
  const mate = lookUp(build.mates, id);
  const housings = mate ? [mate.a, mate.b].flatMap((side) => ('housing' in side ? [side.housing] : [])) : [];
  return Object.values(build.wires).flatMap((wire) =>
    wire.ends.some(({ at }) => at.on === 'cavity' && housings.includes(at.housing)) ? [wire.id] : [],
  );
}
