/** Aerials on a part: whether their cables reach out of the frame, and the blades beyond. */
import type { FrameOpening } from '../../../facts/catalogue/frame';
import type { Slot } from '../../../facts/terms/names';
import { aerialsOn } from '../aerials';
import { acrossMm } from '../box';
import { pluggedMm } from '../cables';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { notKnown } from '../margin';
import type { Room } from '../standing';
import { besideBlades, movesMm } from './blades';
import { cableMarginsAlong } from './cables';

export function aerialMargins(laid: Laid, from: Slot): Margin[] {
  return aerialsOn(laid, from).flatMap(({ slot, cable, out }) => {
    if (!out)
      return [
        notKnown({
          kind: 'aerial',
          slots: [slot],
          what: `where ${slot} leaves the frame`,
          says: `the frame has no hole for ${slot} that is known: look where it goes, ${movesMm} mm from any blade`,
        }),
      ];
    const { hole, mm, points } = out;
    return [
      // One plug is in a socket, the other end is the aerial itself.
      ...cableMarginsAlong({ slot, cable, slots: [from, slot], endsMm: pluggedMm }, { runMm: mm, points }),
      ...besideBlades(laid, slot, beyond(hole, acrossMm(laid.assembly.model(slot)!))),
    ];
  });
}

/** Where what is so long sticks out of its hole. */
function beyond({ atMm, facing }: FrameOpening, lengthMm: number): Room {
  const long = Math.hypot(...facing);
  const tip = atMm.map((mm, axis) => mm + (facing[axis]! / long) * lengthMm);
  const low = atMm.map((mm, axis) => Math.min(mm, tip[axis]!)) as [number, number, number];
  const high = atMm.map((mm, axis) => Math.max(mm, tip[axis]!)) as [number, number, number];
  return { left: low[0], right: high[0], rear: low[1], front: high[1], low: low[2], high: high[2] };
}
