/** Which touches prove contact for a silence: those that sound or read on the net of one of its probes. */
import type { Touch } from '../../facts/log/reading';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Net } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';

type Ends = Pick<Touch, 'black' | 'red'>;

/** @returns For each probe of a touch the places in the list of what proves contact there: one list a net. */
export function contactProofs(
  assembly: Assembly,
  touches: readonly { touch: Ends }[],
  proves: (place: number) => boolean,
): (touch: Ends) => readonly (readonly number[])[] {
  const nets = netlist(assembly);
  const on = ({ black, red }: Ends) => [nets.netOf(black), nets.netOf(red)];
  const touching = new Map<Net | null, number[]>();
  touches.forEach(({ touch }, place) => {
    for (const net of new Set(on(touch))) {
      const known = touching.get(net);
      if (known) known.push(place);
      else touching.set(net, [place]);
    }
  });
  const proving = new Map<Net | null, readonly number[]>();
  const provingOn = (net: Net | null) => {
    const known = proving.get(net) ?? (touching.get(net) ?? []).filter(proves);
    proving.set(net, known);
    return known;
  };
  return (touch) => on(touch).map(provingOn);
}
