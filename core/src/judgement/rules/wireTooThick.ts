/** A wire thicker than its pad takes. */
import type { Rule } from './finding';
import { finding, spoken } from './finding';
import { wiresOnPads } from './padFull';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'wire too thick';

export const wireTooThick: Rule = {
  name,
  why: 'A wire wider than its pad hangs over the edge, bridges to the neighbour and draws the heat out of the joint.',
  judge: (view) =>
    [...wiresOnPads(view)].flatMap(([ref, wires]) => {
      const { thickestAwg } = view.terminal(ref);
      const thick = wires.find((id) => lookUp(view.assembly.build.wires, id)!.awg < thickestAwg);
      if (!thick) return [];
      const message = `${thick} is ${lookUp(view.assembly.build.wires, thick)!.awg} AWG; ${spoken(view, ref)} takes ${thickestAwg} AWG at most.`;
      return [
        {
          ...finding(view, { rule: name, severity: 'warn', net: view.nets.netOf(ref)!, at: [ref], message }),
          wires: [thick],
        },
      ];
    }),
};
