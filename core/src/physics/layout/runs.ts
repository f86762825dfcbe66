/** The wires of a layout with the terminals that they come to, through plugs as well. */
import type { Assembly } from '../../facts/assembly/assembly';
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

/** The terminals that both ends of a wire come to; null where one hangs in the air. */
export function endsOf(assembly: Assembly, wire: Wire): readonly [TerminalRef, TerminalRef] | null {
  const [a, b] = wire.ends.map((end) => terminalUnder(assembly, end));
  return a && b ? [a, b] : null;
}

/** Both ends on parts that lie somewhere: none that hangs in the air, and nothing on the frame. */
export function runsOf({ assembly, poses }: Pick<Laid, 'assembly' | 'poses'>): Run[] {
  return Object.values(assembly.build.wires).flatMap((wire): Run[] => {
    const ends = endsOf(assembly, wire);
    if (!ends) return [];
    const slots = [splitRef(ends[0]).slot, splitRef(ends[1]).slot] as const;
    return slots.every((slot) => poses.has(slot)) ? [{ wire, ends, slots }] : [];
  });
}

/** Those from one part to another: within one part they are no harness. */
export function runsBetween(laid: Pick<Laid, 'assembly' | 'poses'>): Run[] {
  return runsOf(laid).filter(({ slots: [a, b] }) => a !== b);
}
