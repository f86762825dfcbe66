/** An inverted sender needs an input that can invert, a plain one must not sit on an inverted input. */
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'inversion';

export const inversion: Rule = {
  name,
  why: 'Inverted and plain serial are each other’s negative: on the wrong kind of input nothing is understood, though every wire is right.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const serial = portsOn(view, net).filter(({ port }) => port.kind === 'serial');
      const senders = serial.filter(({ pin }) => pin === 'tx');
      return senders.flatMap((sender) =>
        serial
          .filter(
            ({ slot, pin, port }) =>
              slot !== sender.slot &&
              pin === 'rx' &&
              port.inversion !== 'either' &&
              sender.port.inversion !== 'either' &&
              port.inversion !== sender.port.inversion,
          )
          .map((hears) => {
            const message = `${spoken(view, sender.ref)} sends ${sender.port.inversion} serial; ${spoken(view, hears.ref)} hears only ${hears.port.inversion}.`;
            return finding(view, { rule: name, severity: 'stop', net, at: [sender.ref, hears.ref], message });
          }),
      );
    }),
};
