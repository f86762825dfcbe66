/**
 * What drives motors has a thick way from its ground to the pack. Where only a signal lead is left, the motors' current
 * goes through that.
 */
import { terminalRef } from '../../facts/terms/names';
import { drivesMotors } from '../../facts/catalogue/kinds';
import { hasRole } from '../../facts/catalogue/roles';
import { assemble } from '../../facts/assembly/assembly';
import { mainLeads } from '../../facts/wiring/mainLeads';
import type { Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import type { Rule, RuleView } from './finding';
import { feedsOf, finding, spoken } from './finding';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'power ground';
/** Thinner wires and finer contacts are signals' own. */
const thinnestAwg = 22;
const leastContactA = 5;

export const powerGround: Rule = {
  name,
  why: 'The ground that carries the motors must go to the pack by itself. With it open and a signal ground joined, all of the current takes the signal lead, and what is at its other end burns.',
  judge: (view) => {
    const leads = mainLeads(view.assembly);
    if (!leads) return [];
    const thick = withoutThin(view);
    return Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      if (!drivesMotors(model)) return [];
      const grounds = model.terminals.filter((one) => hasRole(one, 'ground')).map(({ id }) => terminalRef(slot, id));
      const fed = feedsOf(view, slot).some((ref) =>
        view.sources.get(view.nets.netOf(ref)!)!.some(({ from }) => from === 'battery'),
      );
      const reaches = (nets: Netlist) => grounds.some((ref) => nets.netOf(ref) === nets.netOf(leads.minus));
      if (!fed || !reaches(view.nets) || reaches(thick)) return [];
      const at = grounds.find((ref) => view.terminal(ref).thickestAwg <= thinnestAwg) ?? grounds[0]!;
      const message = `The power ground of ${slot} is open at ${spoken(view, at)} and a thin lead still grounds it: the motors’ current would take that lead.`;
      return [finding(view, { rule: name, severity: 'kill', net: view.nets.netOf(at)!, at: [at], message })];
    });
  },
};

/** The nets through what can carry a motor's current: thick wires, big contacts. */
function withoutThin({ assembly }: RuleView): Netlist {
  const { wires, mates, housings } = assembly.build;
  const bears = (side: (typeof mates)[string]['a']) =>
    'housing' in side
      ? (lookUp(housings, side.housing)?.pitchMm ?? 0) > 2.6
      : (assembly.connector(side.slot, side.connector)?.ampsPerPin ?? 0) >= leastContactA;
  return netlist(
    assemble(
      {
        ...assembly.build,
        wires: Object.fromEntries(Object.entries(wires).filter(([, { awg }]) => awg <= thinnestAwg)),
        mates: Object.fromEntries(Object.entries(mates).filter(([, { a, b }]) => bears(a) && bears(b))),
      },
      assembly.catalogue,
    ),
  );
}
