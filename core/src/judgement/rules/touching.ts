/** Conductors that were found touching and should not: a screw, a ball of solder, something resting on something. */
import { hasRole } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import { netlist } from '../../facts/wiring/netlist';
import { sound } from '../../facts/wiring/sound';
import type { Finding, Rule } from './finding';
import { finding, spoken } from './finding';

const name = 'touching';

export const touching: Rule = {
  name,
  why: 'What touches is wired, whether anybody meant it or not: power finds it before you do. Part the two, and read the place again.',
  judge: (view) => {
    const asMade = netlist(sound(view.assembly));
    const ends = mainLeads(view.assembly);
    const leads = ends ? [asMade.netOf(ends.plus)!, asMade.netOf(ends.minus)!] : [];
    return view.assembly.build.contacts.flatMap(({ a, b, ohms }) => {
      const [first, second] = [view.assembly.terminal(a), view.assembly.terminal(b)];
      if (!first || !second || asMade.netOf(a) === asMade.netOf(b)) return [];
      const across = leads.every((lead) => [a, b].some((ref) => asMade.netOf(ref) === lead)) && leads.length === 2;
      // Bare metal on bare metal, or on a ground, is how frames are: noted, not stopped.
      const plain = [first, second].every((one) => one.form === 'metal' || hasRole(one, 'ground'));
      const net = view.nets.netOf(a)!;
      const message = `${spoken(view, a)} and ${spoken(view, b)} touch: ${ohms} Ω between them was recorded. Part them.`;
      return [finding(view, { rule: name, severity: gravity(plain, across), net, at: [a, b], message })];
    });
  },
};

/** Across the pack it burns at once, and nobody can wave it through. */
function gravity(isPlain: boolean, isAcrossMains: boolean): Finding['severity'] {
  if (isAcrossMains) return 'kill';
  return isPlain ? 'warn' : 'stop';
}
