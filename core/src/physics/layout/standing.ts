/** Where parts stand in the aircraft, as boxes. Lengths in mm. */
import type { Slot } from '../../facts/terms/names';
import type { Area } from './box';
import { doOverlap, heightMm, outlineOf } from './box';
import type { Laid } from './laid';

type Placed = Pick<Laid, 'assembly' | 'poses'>;

/** Edges from above, lowest and highest point. */
export interface Room extends Area {
  low: number;
  high: number;
}

/** Lowest and highest point of a part where it lies, and its edges. */
export function standing({ assembly, poses }: Placed, slot: Slot): Room {
  const [model, pose] = [assembly.model(slot)!, poses.get(slot)!];
  return { ...outlineOf(model, pose), low: pose.atMm[2], high: pose.atMm[2] + heightMm(model) };
}

/** Has room in common with. */
export function doMeet(a: Room, b: Room): boolean {
  return doOverlap(a, b) && a.low < b.high && b.low < a.high;
}

/** From one part's room to another's, the shortest way; 0 where they touch. */
export function boxGapMm(laid: Placed, a: Slot, b: Slot): number {
  const [one, other] = [standing(laid, a), standing(laid, b)];
  return Math.hypot(
    Math.max(one.left - other.right, other.left - one.right, 0),
    Math.max(one.rear - other.front, other.rear - one.front, 0),
    Math.max(one.low - other.high, other.low - one.high, 0),
  );
}
