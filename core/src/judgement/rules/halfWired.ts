/** A bus or a buzzer with one of its two wires. */
import type { PortKind } from '../../facts/catalogue/partModel';
import { terminalRef } from '../../facts/terms/names';
import type { Rule } from './finding';
import { finding, portOf, portsOn, spoken } from './finding';

const name = 'half wired';
const twoWires: readonly PortKind[] = ['i2c', 'buzzer'];

export const halfWired: Rule = {
  name,
  why: 'A compass needs both bus wires and a buzzer both of its own: one alone does nothing.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      return model.ports
        .filter(({ kind }) => twoWires.includes(kind))
        .flatMap((port) => {
          const pins = model.terminals
            .filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === port.id))
            .map(({ id }) => terminalRef(slot, id));
          const meets = (ref: (typeof pins)[number]) => {
            const own = portOf(view, ref)!;
            const net = view.nets.netOf(ref)!;
            // Plus of a buzzer may sit on any pad of its supply.
            const rail = own.pin === 'plus' && view.sources.has(net);
            return (
              rail ||
              portsOn(view, net).some(
                (other) => other.slot !== slot && other.port.kind === port.kind && other.pin === own.pin,
              )
            );
          };
          const open = pins.filter((ref) => !meets(ref));
          const signal = pins.filter((ref) => portOf(view, ref)!.pin !== 'plus');
          const begun = signal.some(meets) || pins.some((ref) => view.nets.netOf(ref)!.wires.length > 0);
          if (!begun || open.length === 0 || port.way === 'gives' || (pins.length > 1 && model.kind === 'controller'))
            return [];
          return [
            finding(view, {
              rule: name,
              severity: 'stop',
              net: view.nets.netOf(open[0]!)!,
              at: [open[0]!],
              message: `${spoken(view, open[0]!)} does not reach its partner: the ${port.kind === 'i2c' ? 'bus' : 'buzzer'} needs both wires.`,
            }),
          ];
        });
    }),
};
