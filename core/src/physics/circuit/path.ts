/** The way a current takes between two nodes: the places a tone depends on. */
import type { Circuit } from './compile';
import type { Site } from '../../facts/terms/site';

/** Sites along the path of least resistance, from one node to the other; empty when no resistive path exists. */
export function conductingPath(circuit: Circuit, from: string, to: string): Site[] {
  const edges = new Map<string, { to: string; ohms: number; site: Site }[]>();
  const add = (a: string, b: string, ohms: number, site: Site) =>
    edges.set(a, [...(edges.get(a) ?? []), { to: b, ohms, site }]);
  for (const { a, b, element, site } of circuit.branches) {
    if (element.is !== 'resistor') continue;
    add(a, b, element.ohms, site);
    add(b, a, element.ohms, site);
  }
  const best = new Map<string, { ohms: number; via: { from: string; site: Site } | null }>([
    [from, { ohms: 0, via: null }],
  ]);
  const open = new Set([from]);
  while (open.size > 0) {
    const node = [...open].reduce((a, b) => (best.get(a)!.ohms <= best.get(b)!.ohms ? a : b));
    open.delete(node);
    if (node === to) break;
    for (const edge of edges.get(node) ?? []) {
      const ohms = best.get(node)!.ohms + edge.ohms;
      if (ohms >= (best.get(edge.to)?.ohms ?? Infinity)) continue;
      best.set(edge.to, { ohms, via: { from: node, site: edge.site } });
      open.add(edge.to);
    }
  }
  const sites: Site[] = [];
  for (let step = best.get(to)?.via; step; step = best.get(step.from)?.via ?? null) sites.unshift(step.site);
  return sites;
}
