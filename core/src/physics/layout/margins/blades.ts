/** How far parts keep from the blades: seen from above, and over or under them. */
import { isAerial, isBatteryLead, isMotor } from '../../../facts/catalogue/kinds';
import type { Slot } from '../../../facts/terms/names';
import type { Area } from '../box';
import { heightMm, outlineOf } from '../box';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { gaugeOf } from '../measured';
import { reckon, sized, tenths } from '../sized';

/** What can move keeps farther away than what is screwed or taped down. */
const [movesMm, fastMm] = [10, 3];

export function bladeMargins(laid: Laid, slot: Slot): Margin[] {
  const pose = laid.poses.get(slot)!;
  const place = laid.places.get(pose.place);
  if (!place || place.kind === 'arm') return [];
  const model = laid.assembly.model(slot)!;
  const needMm = isBatteryLead(model.kind) || isAerial(model.kind) ? movesMm : fastMm;
  const area = outlineOf(model, pose);
  const [fromMm, toMm] = [pose.atMm[2], pose.atMm[2] + heightMm(model)];
  const awayMm = Math.min(
    ...laid.frame.corners.map(({ atMm, discMm, index }) => {
      const besideMm = distanceTo(area, atMm) - discMm / 2;
      const bladesMm = bladeHeightMm(laid, index);
      return bladesMm === null ? besideMm : Math.max(besideMm, fromMm - bladesMm, bladesMm - toMm);
    }),
  );
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
