/** What a remedy is, and what those who look for one see. */
import type { Build, Wire, WireEnd } from '../../facts/assembly/build';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { PlanChange } from '../../facts/plan/planChange';
import type { Netlist } from '../../facts/wiring/netlist';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Joinable } from './joinable';
import type { Assembly } from '../../facts/assembly/assembly';

export interface Remedy {
  /** What it does, for the key that does it. */
  message: string;
  changes: readonly PlanChange[];
}

export interface Scene {
  target: Build;
  assembly: Assembly;
  nets: Netlist;
  /** Without the wires that are suspected: what they joined by mistake is apart there. */
  without: Netlist;
  sense: Joinable;
  /** Slots that the finding is about. */
  slots: ReadonlySet<Slot>;
}

export function change(before: Wire, after: Wire | null): PlanChange {
  return { path: `wires/${before.id}`, before, after };
}

export function under({ assembly }: Scene, wire: Wire): readonly (TerminalRef | null)[] {
  return wire.ends.map((end) => terminalUnder(assembly, end));
}

export function moved(wire: Wire, end: 0 | 1, to: WireEnd): Wire {
  const next: WireEnd = { ...to, by: to.at.on === 'cavity' ? 'crimp' : 'solder' };
  return { ...wire, ends: end === 0 ? [next, wire.ends[1]] : [wire.ends[0], next] };
}

export const insulatedEnd: WireEnd = { at: { on: 'air', end: 'insulated' }, by: 'none' };

export function spoken({ assembly }: Scene, ref: TerminalRef): string {
  return `${splitRef(ref).slot} ${assembly.terminal(ref)!.printed}`;
}

export function placeWords(scene: Scene, a: TerminalRef, b: TerminalRef): string {
  return splitRef(a).slot === splitRef(b).slot
    ? `${spoken(scene, a)} and ${scene.assembly.terminal(b)!.printed}`
    : `${spoken(scene, a)} and ${spoken(scene, b)}`;
}
