/** The channels that motors are soldered to. */
import type { Assembly } from '../../facts/assembly/assembly';
import { channelPorts } from '../../facts/catalogue/kinds';
import type { Slot } from '../../facts/terms/names';
import type { Channel } from './fixedJoins';

/** Motor channels in order: those of ESC1 before ESC2, on a board by their number. */
export function channelsOf(assembly: Assembly): Channel[] {
  const number = (slot: Slot) => Number(/\d+$/.exec(slot)?.[0] ?? 0);
  return Object.keys(assembly.build.slots)
    .sort((a, b) => number(a) - number(b))
    .flatMap((slot) =>
      channelPorts(assembly.model(slot)!)
        .map((port) => ({ slot, port: port.id, index: port.index ?? 1 }))
        .sort((a, b) => a.index - b.index),
    );
}
