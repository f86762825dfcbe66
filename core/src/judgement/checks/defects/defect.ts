/** One thing that can be wrong with an aircraft: where, how bad, and which edits of its circuit it is. */
import type { Assembly } from '../../../facts/assembly/assembly';
import { lookUp } from '../../../facts/terms/lookUp';
import type { Site } from '../../../facts/terms/site';
import type { TerminalRef } from '../../../facts/terms/names';
import { splitRef, terminalRef } from '../../../facts/terms/names';
import type { Terminal } from '../../../facts/catalogue/partModel';
import { phaseChannel } from '../../../facts/catalogue/roles';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Edit } from '../../../physics/circuit/melt';
import type { Severity } from '../../rules/finding';

export interface Defect {
  id: string;
  kind: string;
  /** How it comes about. */
  because: string;
  /** Against the others, on freshly soldered work: assumed. */
  often: number;
  site: Site;
  harm: Severity;
  edits: readonly Edit[];
}

export interface Place {
  ref: TerminalRef;
  terminal: Terminal;
  /** Its node in the circuit. */
  node: string;
}

/** A good aircraft, as the families look at it. */
export interface DefectView {
  assembly: Assembly;
  circuit: Circuit;
  places: readonly Place[];
  /** Terminals of one part. */
  placesOf(slot: string): readonly Place[];
  /** The terminal of that name. */
  placeAt(ref: TerminalRef): Place | undefined;
}

/**
 * What can be wrong in one way, at every place where it can; `harm` where it is not by what the copper is for, `orElse`
 * where that says nothing.
 */
export interface Family extends Pick<Defect, 'kind' | 'because' | 'often'> {
  make: (view: DefectView) => readonly { site: Site; edits: readonly Edit[]; harm?: Severity; orElse?: Severity }[];
}

export function makeDefectView(assembly: Assembly, circuit: Circuit): DefectView {
  const ofSlot = new Map(
    Object.keys(assembly.build.slots).map((slot) => [
      slot,
      assembly.model(slot)!.terminals.map((terminal): Place => {
        const ref = terminalRef(slot, terminal.id);
        return { ref, terminal, node: lookUp(circuit.at, ref)! };
      }),
    ]),
  );
  const places = [...ofSlot.values()].flat();
  const byRef = new Map(places.map((place) => [place.ref, place]));
  return {
    assembly,
    circuit,
    places,
    placesOf: (slot) => ofSlot.get(slot) ?? [],
    placeAt: (ref) => byRef.get(ref),
  };
}

export function slotOf({ ref }: Place): string {
  return splitRef(ref).slot;
}

/** A lead of a motor, or where one goes. */
export function isPhase({ assembly }: Pick<DefectView, 'assembly'>, place: Place): boolean {
  return phaseChannel(assembly.model(slotOf(place))!, place.terminal.id) !== null;
}

/** A supply above this is the pack's, or as good as that. */
const highV = 9;

/** Gives or takes what is the pack's, or as good as that. */
export function isHighSupply({ terminal }: Place, dirs: readonly ('gives' | 'takes')[] = ['gives', 'takes']): boolean {
  return terminal.roles.some((role) => role.is === 'supply' && dirs.includes(role.dir) && role.volts[1] > highV);
}

/** Each pair of a list once. */
export function pairs<T>(list: readonly T[]): [T, T][] {
  return list.flatMap((one, index) => list.slice(index + 1).map((other): [T, T] => [one, other]));
}
