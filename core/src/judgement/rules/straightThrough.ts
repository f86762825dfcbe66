/** Transmit goes to receive: two like pins of two parts on one net carry nothing. */
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'crossing';

export const straightThrough: Rule = {
  name,
  why: 'What one part sends the other must hear. Transmit on transmit fights, receive on receive stays silent.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const serial = portsOn(view, net).filter(({ port }) => port.kind === 'serial' || port.kind === 'escData');
      return serial.flatMap((a, index) =>
        serial.slice(index + 1).flatMap((b) => {
          if (a.slot === b.slot || a.pin !== b.pin) return [];
          const word = a.pin === 'tx' ? 'Transmit is on transmit' : 'Receive is on receive';
          return [
            finding(view, {
              rule: name,
              severity: 'stop',
              net,
              at: [a.ref, b.ref],
              message: `${word}: ${spoken(view, a.ref)} with ${spoken(view, b.ref)}. Swap the two data wires.`,
            }),
          ];
        }),
      );
    }),
};
