/** Every pose that a part may have by its kind and what the frame allows. */
import type { Pose } from '../../facts/assembly/build';
import type { Place } from '../../facts/catalogue/frame';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { groupedBy } from '../../facts/terms/groupedBy';
import type { Laid } from './laid';
import { poseIn } from './laid';
import { marginsOf } from './layoutMargins';
import { hasNoPlace, placesFor } from './places';
import { withPose } from './turned';

/** Parts that the plan leaves open, those of the stack first. */
export function openSlots({ assembly }: Laid): Slot[] {
  const { build, model } = assembly;
  const open = Object.keys(build.slots).filter((slot) => !lookUp(build.slots, slot)!.pose && !hasNoPlace(model(slot)!));
  const isLast = (slot: Slot) => Number(placesFor(model(slot)!)[0] !== 'stack');
  return open.sort((a, b) => isLast(a) - isLast(b));
}

/** Parts that the plan leaves open though a place is free for them: how they lie is not said yet. */
export function leftOpen(laid: Laid): Slot[] {
  const taken = new Set([...laid.poses.values()].map(({ place }) => place));
  const isFree = ({ place }: Pose) => laid.places.get(place)?.kind === 'stack' || !taken.has(place);
  return openSlots(laid).filter((slot) => posesFor(laid, slot).some(isFree));
}

export function posesFor({ assembly, places, stack }: Laid, slot: Slot): Pose[] {
  const model = assembly.model(slot)!;
  const all = [...places.values()];
  const made = all.filter(({ madeFor }) => madeFor?.includes(model.kind));
  const kinds = placesFor(model);
  const others = all.filter(
    (place) => !place.madeFor && kinds.includes(place.kind) && (place.kind !== 'arm' || isOwnArm(place, slot)),
  );
  const own = made.length > 0 ? made : others;
  return own.flatMap((place) =>
    place.faces.flatMap((face) =>
      place.turns.map((turn) =>
        poseIn(place, turn, face, place.kind === 'stack' && stack ? { stack: stack.stack, slot } : undefined),
      ),
    ),
  );
}

/** In each place once, turned so that most of its own margins hold there. */
export function placesToMove(laid: Laid, slot: Slot): Pose[] {
  const no = (pose: Pose) =>
    marginsOf(withPose(laid, slot, pose), slot).filter(({ verdict }) => verdict === 'no').length;
  const byPlace = groupedBy(posesFor(laid, slot), ({ place }) => place);
  return [...byPlace.values()].map((own) => own.reduce((best, pose) => (no(pose) < no(best) ? pose : best)));
}

/** ESC 3 lies on arm 3. */
function isOwnArm({ id }: Place, slot: Slot): boolean {
  return /\d+$/.exec(id)?.[0] === /\d+$/.exec(slot)?.[0];
}
