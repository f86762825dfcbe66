/** The two data wires of one port must reach one port on the other side. */
import type { TerminalRef } from '../../facts/terms/names';
import type { Rule } from './finding';
import { finding, portsOn } from './finding';

const name = 'split port';

export const splitPort: Rule = {
  name,
  why: 'The controller talks and listens on one port. With its two wires on two ports one half of the talk is lost.',
  judge: (view) => {
    const partners = new Map<string, { ref: TerminalRef; partner: string }[]>();
    for (const net of view.joined) {
      const serial = portsOn(view, net).filter(({ port }) => port.kind === 'serial');
      for (const a of serial) {
        for (const b of serial) {
          if (a.slot === b.slot || a.pin === b.pin) continue;
          const key = `${a.slot}/${a.port.id}`;
          partners.set(key, [...(partners.get(key) ?? []), { ref: a.ref, partner: `${b.slot}/${b.port.id}` }]);
        }
      }
    }
    return [...partners.values()].flatMap((seen) => {
      const [first] = seen;
      const other = seen.find(({ partner }) => partner !== first!.partner);
      if (!other || first!.partner.split('/')[0] !== other.partner.split('/')[0]) return [];
      const message = `The two data wires go to different ports: ${first!.partner.replace('/', ' ')} and ${other.partner.replace('/', ' ')}.`;
      return [
        finding(view, {
          rule: name,
          severity: 'stop',
          net: view.nets.netOf(first!.ref)!,
          at: [first!.ref, other.ref],
          message,
        }),
      ];
    });
  },
};
