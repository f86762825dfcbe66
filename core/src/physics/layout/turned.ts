/** The same layout with one part otherwise, and the change of the plan that makes it so. */
import type { Pose, Stack } from '../../facts/assembly/build';
import type { PlanChange } from '../../facts/plan/planChange';
import type { Slot } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import type { Laid } from './laid';

export function withPose(laid: Laid, slot: Slot, pose: Pose): Laid {
  return { ...laid, poses: new Map([...laid.poses, [slot, pose]]) };
}

export function poseChange({ assembly }: Laid, slot: Slot, pose: Pose): PlanChange {
  const before = lookUp(assembly.build.slots, slot)!;
  return { path: `slots/${slot}`, before, after: { ...before, pose } };
}

/** The change that makes the plan's stack this one. */
export function stackChange({ assembly, stack }: Laid, after: Stack): PlanChange {
  const { id } = stack!.place;
  return { path: `stacks/${id}`, before: lookUp(assembly.build.stacks ?? {}, id) ?? null, after };
}

/** As it stands, turned each way that its place allows; the present one among them. */
export function turnsOf({ poses, places }: Laid, slot: Slot): Pose[] {
  const pose = poses.get(slot)!;
  const place = places.get(pose.place);
  if (!place) return [pose];
  return place.faces.flatMap((face) => place.turns.map((yawDeg): Pose => ({ ...pose, yawDeg, face })));
}

export function isSamePose(a: Pose, b: Pose): boolean {
  return a.place === b.place && a.face === b.face && Math.abs(angle(a.yawDeg - b.yawDeg)) < 1;
}

/** From -180 up to 180. */
export function angle(deg: number): number {
  return ((((deg + 180) % 360) + 360) % 360) - 180;
}

/** The changes that keep every part of a layout where it lies: of those that have a place of the frame. */
export function keepingChanges(laid: Laid): PlanChange[] {
  return [...laid.poses]
    .filter(([slot, { place }]) => laid.places.has(place) && !lookUp(laid.assembly.build.slots, slot)!.pose)
    .map(([slot, pose]) => poseChange(laid, slot, pose));
}
