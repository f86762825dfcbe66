/** A solved model as a Build and its links: wires with gauge and colour, leads with their housings, plugs. */
import type { Build } from '../../facts/assembly/build';
import type { Link } from '../../facts/plan/plan';
import type { Option } from './ways';
import type { Chosen } from './Drawing';
import { Drawing } from './Drawing';
import type { Join } from './fixedJoins';
import { lookUp } from '../../facts/terms/lookUp';

/** The target build and its links. */
export function decode(chosen: Chosen): { target: Build; links: Link[] } {
  const joins: Join[] = [...chosen.path.joins];
  const links: Link[] = chosen.path.links.map((link) => ({ ...link, wires: [], set: {} }));
  for (const option of chosen.options) {
    links.push({
      id: lookUp(chosen.purposes, option.wish) ?? option.wish,
      purpose: purposeWords(option),
      ends: option.ends,
      wires: [],
      set: option.set,
      wish: option.wish,
    });
    for (const { id, purpose, ends } of option.besides ?? []) links.push({ id, purpose, ends, wires: [], set: {} });
    for (const { own, carries, link } of option.signals)
      joins.push({
        own,
        to: chosen.pads.get(own)!,
        link: link ?? lookUp(chosen.purposes, option.wish) ?? option.wish,
        carries: carries ?? 'signal',
      });
  }
  for (const { own, slot, is } of chosen.needs) {
    const to = chosen.pads.get(own);
    if (!to) continue;
    const link = `supply ${slot}`;
    if (!links.some(({ id }) => id === link))
      links.push({ id: link, purpose: `supply of ${slot}`, ends: [], wires: [], set: {} });
    joins.push({ own, to, link, carries: is });
  }
  const drawing = new Drawing(chosen, joins);
  const wires = joins.map((join) => ({ join, wire: drawing.wire(join) }));
  for (const link of links) link.wires = wires.filter(({ join }) => join.link === link.id).map(({ wire }) => wire.id);
  return { target: drawing.build(), links: links.filter(({ wires: own, ends }) => own.length > 0 || ends.length > 0) };
}

function purposeWords({ wish, way }: Option): string {
  return `${wish}, ${way}`;
}
