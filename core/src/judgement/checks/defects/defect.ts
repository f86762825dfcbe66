/** One thing that can be wrong with an aircraft: where, how bad, and which edits of its circuit it is. */
import type { Assembly } from '../../../facts/assembly/assembly';
import { lookUp } from '../../../facts/terms/lookUp';
import type { Site } from '../../../facts/terms/site';
import type { TerminalRef } from '../../../facts/terms/names';
import { splitRef, terminalRef } from '../../../facts/terms/names';
import type { Terminal } from '../../../facts/catalogue/partModel';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Edit } from '../../../physics/circuit/melt';

export type Harm = 'kill' | 'stop' | 'warn';

export interface Defect {
  id: string;
  kind: string;
  site: Site;
  harm: Harm;
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
}

/** What can be wrong in one way, at every place where it can. */
export interface Family {
  kind: string;
  /** How it comes about. */
  because: string;
  make: (view: DefectView) => readonly { site: Site; edits: readonly Edit[]; harm?: Harm }[];
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
  return {
    assembly,
    circuit,
    places: [...ofSlot.values()].flat(),
    placesOf: (slot) => ofSlot.get(slot) ?? [],
  };
}

export function slotOf({ ref }: Place): string {
  return splitRef(ref).slot;
}

/** Each pair of a list once. */
export function pairs<T>(list: readonly T[]): [T, T][] {
  return list.flatMap((one, index) => list.slice(index + 1).map((other): [T, T] => [one, other]));
}
