/** An aircraft with every part in its place: as planned, else as proposed, else as assumed. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Pose, Stack } from '../../facts/assembly/build';
import { frameOf } from '../../facts/assembly/frameOf';
import type { FrameBody, Place } from '../../facts/catalogue/frame';
import type { Slot } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import { placeOf } from '../geometry/place';
import { aerialPoses } from './aerials';
import type { Measured } from './measured';
import { placesOf } from './places';
import type { StackInPlace } from './stack';
import { below, stackOf } from './stack';

export interface Laid {
  assembly: Assembly;
  frame: FrameBody;
  /** Places of the frame by name. */
  places: ReadonlyMap<string, Place>;
  /** Of every part but the frame itself; of an aerial on its cable, outside of its hole. */
  poses: ReadonlyMap<Slot, Pose>;
  stack: StackInPlace | null;
  measured: Measured;
}

/**
 * @param proposed Poses of parts that have none of their own in the plan.
 * @param measured What a gauge has shown.
 * @returns null without a frame.
 */
export function laidOut(
  assembly: Assembly,
  proposed: ReadonlyMap<Slot, Pose> = new Map(),
  measured: Measured = new Map(),
): Laid | null {
  const frame = frameOf(assembly);
  if (!frame) return null;
  const slots = Object.keys(assembly.build.slots).filter((slot) => !assembly.model(slot)!.frame);
  const places = new Map(placesOf(frame).map((one) => [one.id, one]));
  const own = (slot: Slot) => lookUp(assembly.build.slots, slot)!.pose;
  const poses = new Map(slots.map((slot) => [slot, own(slot) ?? proposed.get(slot) ?? placeOf(assembly, slot)]));
  const aerials = aerialPoses({ assembly, frame, places, poses }).filter(([slot]) => !own(slot));
  return {
    assembly,
    frame,
    places,
    poses: new Map([...poses, ...aerials]),
    stack: stackOf(assembly, frame),
    measured,
  };
}

/** Parts that lie in a place of the frame. */
export function placedSlots({ poses, places }: Pick<Laid, 'poses' | 'places'>): Slot[] {
  return [...poses].filter(([, { place }]) => places.has(place)).map(([slot]) => slot);
}

/** A part in a place. In a stack it stands as high as what is threaded on below it. */
export function poseIn(
  place: Place,
  turnDeg: number,
  face: Pose['face'],
  standing?: { stack: Stack; slot: Slot },
): Pose {
  const [x, y, z] = place.atMm;
  const upMm = standing ? below(standing.stack, standing.slot).reduce((sum, { mm }) => sum + mm, 0) : 0;
  return { place: place.id, atMm: [x, y, z + upMm], yawDeg: turnDeg, face };
}
