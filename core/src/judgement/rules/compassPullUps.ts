/** A two-wire bus needs pull-ups to its supply somewhere on it. */
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'bus pull-ups';

export const compassPullUps: Rule = {
  name,
  why: 'The compass bus only rests high when something pulls it up; without it no compass is found.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const bus = portsOn(view, net).filter(({ port }) => port.kind === 'i2c');
      if (
        new Set(bus.map(({ slot }) => slot)).size < 2 ||
        net.terminals.some((ref) => view.terminal(ref).pull === 'up')
      )
        return [];
      return [
        finding(view, {
          rule: name,
          severity: 'stop',
          net,
          at: [bus[0]!.ref],
          message: `Nothing pulls up ${spoken(view, bus[0]!.ref)}: the bus needs a resistor to 3.3 V.`,
        }),
      ];
    }),
};
