/** How far parts keep from the blades: seen from above, and over or under them. */
import { isAerial, isBatteryLead, isMotor } from '../../../facts/catalogue/kinds';
import type { Slot } from '../../../facts/terms/names';
import type { Area } from '../box';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { gaugeOf } from '../measured';
import { reckon, sized, tenths } from '../sized';
import type { Room } from '../standing';
import { standing } from '../standing';

/** What can move keeps farther away than what is screwed or taped down. */
export const movesMm = 10;
const fastMm = 3;

export function bladeMargins(laid: Laid, slot: Slot): Margin[] {
  const place = laid.places.get(laid.poses.get(slot)!.place);
  return !place || place.kind === 'arm' ? [] : besideBlades(laid, slot, standing(laid, slot));
}

/** Of what takes this room. */
export function besideBlades(laid: Laid, slot: Slot, room: Room): Margin[] {
  const { kind } = laid.assembly.model(slot)!;
  const needMm = isBatteryLead(kind) || isAerial(kind) ? movesMm : fastMm;
  const awayMm = awayFromBlades(laid, room);
  if (awayMm === Infinity) return [];
  const of = { kind: 'blades', slots: [slot] } as const;
  return [
    margin(
      {
        ...of,
        gauge: gaugeOf(laid, of, { asks: `from ${slot} to the nearest blade's reach`, needMm }),
        what: `${slot} beside the blades`,
        says: `${tenths(awayMm)} mm from ${slot} to the nearest blade's reach, ${needMm} mm are wanted`,
      },
      reckon([sized(awayMm, 'part')], [{ mm: needMm, tolMm: 0 }]),
    ),
  ];
}

/** Seen from above, or over or under them; Infinity without blades. */
export function awayFromBlades(laid: Laid, room: Room): number {
  return Math.min(
    ...laid.frame.corners.map(({ atMm, discMm, index }) => {
      const besideMm = distanceTo(room, atMm) - discMm / 2;
      const bladesMm = bladeHeightMm(laid, index);
      return bladesMm === null ? besideMm : Math.max(besideMm, room.low - bladesMm, bladesMm - room.high);
    }),
  );
}

/** The blades of a corner turn on top of its motor. */
function bladeHeightMm({ assembly, poses }: Laid, corner: number): number | null {
  const slot = `M${corner}`;
  const pose = poses.get(slot);
  const model = pose && assembly.model(slot);
  return model && isMotor(model.kind) ? pose.atMm[2] + model.body.aboveMm : null;
}

/** From a point outside to the nearest of an area. */
function distanceTo({ left, right, rear, front }: Area, [x, y]: readonly [number, number]): number {
  return Math.hypot(Math.max(left - x, 0, x - right), Math.max(rear - y, 0, y - front));
}
