/** A part whose only ground comes through another part's plug loses it the moment that plug is pulled. */
import type { Mate } from '../../facts/assembly/build';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import { assemble } from '../../facts/assembly/assembly';
import { hasRole } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import type { Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Rule, RuleView } from './finding';
import { finding, makeRuleView, spoken } from './finding';

const name = 'ground through a plug';

export const groundThroughPlug: Rule = {
  name,
  why: 'Each part wants a ground that stays with its supply. One that comes round through a third part is gone when that part is unplugged, and the current takes the signal wires.',
  judge: (view) => {
    const leads = mainLeads(view.assembly);
    if (!leads) return [];
    return Object.entries(view.assembly.build.mates).flatMap(([id, mate]) => {
      const owners = [
        ...new Set([mate.a, mate.b].flatMap((side) => ('slot' in side ? [side.slot] : partsOn(view, side.housing)))),
      ];
      return losingGround(view, { pulled: id, minus: leads.minus, owners }).map((slot) => {
        const at = terminalsOf(view.assembly, slot, 'ground')[0]!;
        const message = `${slot} has its ground only through the plug between ${owners.join(' and ')}: pulled, ${spoken(view, at)} is open while its supply stays.`;
        const severity = isPulled(view, mate) ? 'stop' : 'warn';
        return finding(view, { rule: name, severity, net: view.nets.netOf(at)!, at: [at], message });
      });
    });
  },
};

/** True when its maker says that this plug is pulled while the pack stays on. */
function isPulled({ assembly }: RuleView, { a, b }: Mate): boolean {
  return [a, b].some((side) => 'slot' in side && assembly.connector(side.slot, side.connector)?.pulledInService);
}

/** The parts that a housing's wires end on, also through plugs. */
function partsOn({ assembly }: RuleView, housing: string): Slot[] {
  return Object.values(assembly.build.wires)
    .filter(({ ends }) => ends.some(({ at }) => at.on === 'cavity' && at.housing === housing))
    .flatMap(({ ends }) => ends.flatMap((end) => terminalUnder(assembly, end) ?? []))
    .map((ref) => splitRef(ref).slot);
}

function terminalsOf({ model }: RuleView['assembly'], slot: Slot, is: 'ground' | 'supply'): TerminalRef[] {
  return model(slot)!
    .terminals.filter((one) => hasRole(one, is))
    .map(({ id }) => terminalRef(slot, id));
}

/** Parts, but its owners, that keep a supply and lose their ground when a plug is pulled. */
function losingGround(
  view: RuleView,
  { pulled, minus, owners }: { pulled: string; minus: TerminalRef; owners: readonly Slot[] },
): Slot[] {
  const { build, catalogue } = view.assembly;
  const rest = Object.fromEntries(Object.entries(build.mates).filter(([id]) => id !== pulled));
  const after = assemble({ ...build, mates: rest }, catalogue);
  const isGrounded = (slot: Slot, nets: Netlist) =>
    terminalsOf(view.assembly, slot, 'ground').some((ref) => nets.netOf(ref) === nets.netOf(minus));
  const lost = Object.keys(build.slots).filter(
    (slot) => !owners.includes(slot) && isGrounded(slot, view.nets) && !isGrounded(slot, netlist(after)),
  );
  // What feeds what is worked out for the few plugs alone that take a ground with them.
  if (lost.length === 0) return [];
  const { sources, nets } = makeRuleView(after, view.links, view.cells);
  return lost.filter((slot) => terminalsOf(after, slot, 'supply').some((ref) => sources.has(nets.netOf(ref)!)));
}
