/**
 * Nets that are fed through a diode alone, as one of two supplies is where the other may be away: each with the net
 * that feeds it and what the diode keeps.
 */
import type { Netlist } from '../../facts/wiring/netlist';
import type { Assembly } from '../../facts/assembly/assembly';

interface DiodeFeed {
  from: string;
  dropV: number;
}

/** @param isFed True for a net that has a supply of its own. */
export function throughDiodes(
  { build, model }: Assembly,
  { idOf }: Pick<Netlist, 'idOf'>,
  isFed: (net: string) => boolean,
): ReadonlyMap<string, DiodeFeed> {
  const diodes = Object.keys(build.slots).flatMap((slot) =>
    model(slot)!.elements.flatMap((element) =>
      element.is === 'diode'
        ? [{ from: idOf(`${slot}:${element.anode}`), to: idOf(`${slot}:${element.cathode}`), dropV: element.forwardV }]
        : [],
    ),
  );
  const feeds = new Map<string, DiodeFeed>();
  for (let before = -1; feeds.size > before;) {
    before = feeds.size;
    for (const { from, to, dropV } of diodes) {
      const above = feeds.get(from);
      if (isFed(to) || feeds.has(to) || from === to || !(isFed(from) || above)) continue;
      feeds.set(to, above ? { from: above.from, dropV: above.dropV + dropV } : { from, dropV });
    }
  }
  return feeds;
}
