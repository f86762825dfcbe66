/** An ESC of which some channels are driven and others are not. */
import type { Port } from '../../facts/catalogue/partModel';
import type { Rule } from './finding';
import { finding, pinOf, portsOn, spoken } from './finding';

const name = 'no motor signal';

export const noMotorSignal: Rule = {
  name,
  why: 'A channel without a signal never starts, and the aircraft turns over at take-off.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      const inputs = model.ports.filter((port) => port.kind === 'motorSignal' && port.way === 'takes');
      const driven = (port: Port) => {
        const ref = pinOf(view, slot, port.id, 'in');
        return (
          ref !== null &&
          portsOn(view, view.nets.netOf(ref)!).some(
            (at) => at.slot !== slot && at.port.kind === 'motorSignal' && at.port.way === 'gives',
          )
        );
      };
      if (!inputs.some(driven)) return [];
      return inputs
        .filter((port) => !driven(port))
        .map((port) => {
          const ref = pinOf(view, slot, port.id, 'in')!;
          return finding(view, {
            rule: name,
            severity: 'stop',
            net: view.nets.netOf(ref)!,
            at: [ref],
            message: `Channel ${port.index} gets no signal: nothing drives ${spoken(view, ref)}.`,
          });
        });
    }),
};
