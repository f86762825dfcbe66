/** A supply below what a part takes, also at the empty pack, or none at all. Above its range is battery on logic. */
import { modelIn } from '../catalogue/catalogue';
import { terminalRef } from '../names';
import { landedOn } from '../build/build';
import type { Rule } from './finding';
import { finding, spoken } from './finding';

export const supplyRange: Rule = (view) =>
  view.joined.flatMap((net) => {
    const sources = view.sources.get(net) ?? [];
    return net.terminals.flatMap((ref) => {
      const takes = view.terminal(ref).roles.find((role) => role.is === 'supply' && role.dir === 'takes');
      if (takes?.is !== 'supply') return [];
      const low = sources.find((source) => source.volts[1] <= view.terminal(ref).withstandV[1] && source.volts[0] < takes.volts[0]);
      if (low) {
        const says = `${spoken(view, ref)} wants at least ${takes.volts[0]} V; ${low.slot} (${low.from}) gives ${low.volts[0].toFixed(1)} V at its lowest.`;
        return [finding(view, 'supply out of range', 'stop', net, [ref], says)];
      }
      const high = sources.find((source) => source.volts[1] > takes.volts[1] && source.volts[1] <= view.terminal(ref).withstandV[1]);
      if (high) {
        const says = `${spoken(view, ref)} takes at most ${takes.volts[1]} V; ${high.slot} (${high.from}) gives up to ${high.volts[1].toFixed(1)} V.`;
        return [finding(view, 'supply out of range', 'kill', net, [ref], says)];
      }
      return [];
    });
  });

/** A part that is wired, but whose supply or ground goes nowhere. */
export const unfed: Rule = (view) =>
  Object.keys(view.build.slots).flatMap((slot) => {
    const model = modelIn(view.build, slot, view.catalogue)!;
    const wired = Object.values(view.build.wires).filter((wire) =>
      wire.ends.some((end) => landedOn(end)?.startsWith(`${slot}.`)) && wire.ends.every((end) => landedOn(end) !== null),
    );
    const takes = model.terminals.filter(({ roles }) => roles.some((role) => role.is === 'supply' && role.dir === 'takes'));
    if (wired.length === 0 || takes.length === 0) return [];
    const refs = takes.map(({ id }) => terminalRef(slot, id));
    if (refs.some((ref) => view.sources.has(view.nets.netOf(ref)!))) return [];
    const says = `${slot} gets no supply: nothing that gives volts is on ${spoken(view, refs[0]!)}.`;
    return [{ ...finding(view, 'no supply', 'stop', view.nets.netOf(refs[0]!)!, [refs[0]!], says) }];
  });
