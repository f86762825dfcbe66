/**
 * A list of touches by rule of thumb, for walks that are about something else: contact on both main leads, across them,
 * along every net, and from minus to every other one. Of faults it knows one a touch: what it asks is not so.
 */
import type { Assembly, ListedFault, ListedTouch, TerminalRef, TouchList } from '@junctor/core';
import { mainLeads, netlist, reachableTerminals } from '@junctor/core';

export function plainList(target: Assembly): TouchList {
  const leads = mainLeads(target);
  if (!leads) return { touches: [], faults: [], loose: {}, apart: {}, seconds: 0 };
  const { nets, netOf } = netlist(target);
  const reachable = reachableTerminals(target);
  const places = new Map(nets.map((net) => [net, net.terminals.filter((ref) => reachable.has(ref))]));
  const sounds = (black: TerminalRef, red: TerminalRef) => touching(black, red, { good: 'sounds', anchored: true });
  const silent = (black: TerminalRef, red: TerminalRef, across: ListedTouch['across'] = null) => {
    const anchored = [black, red].every((ref) => places.get(netOf(ref)!)!.length > 1);
    return touching(black, red, { good: 'silent', anchored, across });
  };
  const along = (ref: TerminalRef) =>
    (places.get(netOf(ref)!) ?? []).filter((other) => other !== ref).map((other) => sounds(ref, other));
  const [minus, plus] = [netOf(leads.minus)!, netOf(leads.plus)!];
  const rest = [...places].filter(([net, refs]) => net !== minus && net !== plus && refs.length > 0);
  const touches = [
    ...along(leads.plus),
    ...along(leads.minus),
    silent(leads.minus, leads.plus, 'main leads'),
    silent(leads.plus, leads.minus, 'main leads exchanged'),
    ...rest.flatMap(([, [first]]) => along(first!)),
    ...rest.map(([, [first]]) => silent(leads.minus, first!)),
  ].map((listed, index): ListedTouch => ({ ...listed, shows: [index] }));
  const faults = touches.map(({ touch: { black, red }, good }): ListedFault => ({
    kind: good === 'sounds' ? 'joint open' : 'solder bridge',
    site: { between: [black, red] },
    harm: 'stop',
    shownBy: 'list',
    proofs: 1,
  }));
  return { touches, faults, loose: {}, apart: {}, seconds: 0 };
}

function touching(
  black: TerminalRef,
  red: TerminalRef,
  more: Pick<ListedTouch, 'good' | 'anchored'> & { across?: ListedTouch['across'] },
): ListedTouch {
  return { touch: { black, red, mode: 'tone', power: 'off' }, shows: [], across: null, ...more };
}
