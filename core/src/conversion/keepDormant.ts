/** A part that is hard to remove may stay in, out of use: its plugs are pulled, its wires come off the board and are insulated. */
import type { Build, Wire } from '../build/build';
import { landedOn } from '../build/build';
import type { Slot } from '../names';
import { splitRef } from '../names';

/** The target with the part of the build as it is left in, dormant. It is judged like every other part. */
export function keepDormant(target: Build, asBuilt: Build, slot: Slot): Build {
  const fitted = asBuilt.slots[slot];
  if (!fitted || slot in target.slots) return target;
  const own = Object.values(asBuilt.wires).filter(({ ends }) => ends.some((end) => landedOn(end) !== null && splitRef(landedOn(end)!).slot === slot));
  const wires = own.map((wire): Wire => {
    const ends = wire.ends.map((end) => (landedOn(end) && splitRef(landedOn(end)!).slot === slot ? end : { at: { on: 'air' as const, end: 'insulated' as const }, by: 'none' as const }));
    return { ...wire, ends: [ends[0]!, ends[1]!] };
  });
  return { ...target, slots: { ...target.slots, [slot]: fitted }, wires: { ...target.wires, ...Object.fromEntries(wires.filter(({ id }) => !(id in target.wires)).map((wire) => [wire.id, wire])) } };
}
