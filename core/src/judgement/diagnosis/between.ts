/** What can short two nets: the parts that hang between them, and the plugs and leads that would part them. */
import type { Assembly } from '../../facts/assembly/assembly';
import { matesOn } from '../../facts/assembly/build';
import { slotWords } from '../../facts/assembly/slotWords';
import { plugWords } from '../../facts/assembly/plugWords';
import type { Touch } from '../../facts/log/reading';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';

/** Slots of parts with a terminal on both nets of a touch; empty when it lies on one net. */
export function partsBetween({ black, red }: Pick<Touch, 'black' | 'red'>, assembly: Assembly): Slot[] {
  const nets = netlist(assembly);
  const [one, other] = [nets.netOf(black), nets.netOf(red)];
  if (!one || !other || one === other) return [];
  const on = (refs: typeof one.terminals) => new Set(refs.map((ref) => splitRef(ref).slot));
  const there = on(other.terminals);
  return [...on(one.terminals)].filter((slot) => there.has(slot) && (assembly.model(slot)?.elements.length ?? 0) > 0);
}

/** The same in words, each with what takes it away: its plug where it hangs on one, else its leads. */
export function betweenWords(touch: Pick<Touch, 'black' | 'red'>, assembly: Assembly): string[] {
  return partsBetween(touch, assembly).map((slot) => {
    const [plug] = matesOn(slot, assembly.build);
    const way = plug !== undefined ? `pull plug ${plugWords(plug, assembly)}` : 'lift its leads';
    return `${slotWords(slot, assembly)}: ${way}, read again`;
  });
}
