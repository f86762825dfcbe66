/** The wires of a layout with the terminals that they come to, through plugs as well. */
import type { Wire } from '../../facts/assembly/build';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Laid } from './laid';

interface Run {
  wire: Wire;
  ends: readonly [TerminalRef, TerminalRef];
  /** The parts at its ends. */
  slots: readonly [Slot, Slot];
}

/** Both ends on parts that lie somewhere: none that hangs in the air, and nothing on the frame. */
export function runsOf({ assembly, poses }: Pick<Laid, 'assembly' | 'poses'>): Run[] {
  return Object.values(assembly.build.wires).flatMap((wire): Run[] => {
    const [a, b] = wire.ends.map((end) => terminalUnder(assembly, end));
    if (!a || !b) return [];
    const slots = [splitRef(a).slot, splitRef(b).slot] as const;
    return slots.every((slot) => poses.has(slot)) ? [{ wire, ends: [a, b], slots }] : [];
  });
}

/** Those from one part to another: within one part they are no harness. */
export function runsBetween(laid: Pick<Laid, 'assembly' | 'poses'>): Run[] {
  return runsOf(laid).filter(({ slots: [a, b] }) => a !== b);
}
