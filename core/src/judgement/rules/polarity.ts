/** Plus to plus, minus to minus: a supply and a ground on one conductor destroy something the moment power comes. */
import type { Rule } from './finding';
import { finding, spoken } from './finding';
import { hasRole } from '../../facts/catalogue/roles';

export const polarity: Rule = {
  name: 'polarity',
  why: 'Plus and minus on one conductor is a dead short, or a part fed backwards. Nothing survives the first second of it.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const grounds = net.terminals.filter((ref) => hasRole(view.terminal(ref), 'ground'));
      const supplies = net.terminals.filter((ref) => hasRole(view.terminal(ref), 'supply'));
      const [minus, plus] = [grounds[0], supplies[0]];
      if (!minus || !plus) return [];
      // The odd one out is what somebody has just joined: name the side with fewer terminals.
      const odd = grounds.length <= supplies.length ? grounds : supplies;
      const message = `Plus and minus are joined: ${spoken(view, odd[0]!)} is on the same conductor as ${spoken(view, odd === grounds ? plus : minus)}.`;
      return [
        finding(view, {
          rule: 'polarity',
          severity: 'kill',
          net,
          at: [odd[0]!, odd === grounds ? plus : minus],
          message,
        }),
      ];
    }),
};
