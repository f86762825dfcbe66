/** Two sources driving one input. */
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'two drivers';
const outputs = ['tx', 'out'];
const inputs = ['rx', 'in'];

export const twoDrivers: Rule = {
  name,
  why: 'Two outputs on one input fight and neither is heard. A bundled video harness often brings receiver wires of its own: take those contacts out and insulate them.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const ports = portsOn(view, net).filter(({ port }) => port.kind !== 'motorPhase' && port.kind !== 'aerial');
      // Telemetry of several ESCs shares one input by design, and half-duplex lines take turns.
      const drivers = ports.filter(
        ({ pin, port }) => outputs.includes(pin) && port.kind !== 'escData' && !port.halfDuplex,
      );
      const second = drivers.find(({ slot }) => slot !== drivers[0]!.slot);
      const input = ports.find(({ pin }) => inputs.includes(pin));
      if (!second || !input) return [];
      const message = `${spoken(view, drivers[0]!.ref)} and ${spoken(view, second.ref)} both drive ${spoken(view, input.ref)}. Take one out and insulate it.`;
      return [finding(view, { rule: name, severity: 'stop', net, at: [drivers[0]!.ref, second.ref], message })];
    }),
};
