/** Red is plus and black is minus, whoever wired it: the next hand trusts the colour before it reads the pad. */
import { wireWords } from '../../facts/assembly/itemWords';
import { capital } from '../../facts/terms/capital';
import type { Rule } from './finding';
import { finding } from './finding';
import { hasRole } from '../../facts/catalogue/roles';

const name = 'wire colours';

export const wireColours: Rule = {
  name,
  why: 'Red for plus and black for minus is the one colour code that everybody trusts. A red ground or a black supply is swapped at the next repair.',
  judge: (view) =>
    Object.values(view.assembly.build.wires).flatMap((wire) => {
      const { id, colour, from } = wire;
      const net = view.nets.netOfWire(id);
      // Leads that a part brings are as its maker made them.
      if (!net || from === 'tail') return [];
      const ground = net.terminals.find((ref) => hasRole(view.terminal(ref), 'ground'));
      const supply = net.terminals.find((ref) => hasRole(view.terminal(ref), 'supply'));
      if (ground && supply) return [];
      const words = () => capital(wireWords(wire, view.assembly));
      const wrongOf = () => {
        if (ground && colour === 'red') return { at: ground, message: `${words()} is red and leads to ground.` };
        if (supply && colour === 'black') return { at: supply, message: `${words()} is black and carries a supply.` };
        return null;
      };
      const wrong = wrongOf();
      return wrong
        ? [
            {
              ...finding(view, { rule: name, severity: 'warn', net, at: [wrong.at], message: wrong.message }),
              key: `${name}:${id}`,
              wires: [id],
            },
          ]
        : [];
    }),
};
