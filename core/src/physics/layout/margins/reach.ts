/** Can a socket still be reached once all is closed: does it face an opening that lets its plug through. */
import type { FrameOpening, XYZ } from '../../../facts/catalogue/frame';
import type { Body } from '../../../facts/catalogue/partModel';
import type { Pose } from '../../../facts/assembly/build';
import type { Slot } from '../../../facts/terms/names';
import { lying, turnedRad } from '../../geometry/place';
import { boardMm } from '../box';
import type { Laid } from '../laid';
import type { Margin, Remedy } from '../margin';
import { margin, mild, notKnown } from '../margin';
import { reckon, sized, tenths } from '../sized';
import { boardsIn } from '../stack';
import type { Reached } from './reached';
import { reachedAs } from './reached';
import { angle, isSamePose, poseChange, turnsOf, withPose } from '../turned';

/** Sideways by so much of a turn a plug still goes in. */
const straightDot = Math.cos((15 * Math.PI) / 180);

type Opening = Body['openings'][number];

export function reachMargins(laid: Laid, slot: Slot): Margin[] {
  const { openings } = laid.assembly.model(slot)!.body;
  return openings.flatMap((opening) => {
    const as = reachedAs(opening.what);
    if (!as) return [];
    const found = reachOf(laid, slot, { opening, as });
    return [{ ...found, remedies: isOpen(found) ? [] : turnsThatDo(laid, slot, { opening, as }) }];
  });
}

interface Asked {
  opening: Opening;
  as: Reached;
}

/** Something goes through, at worst with force. */
function isOpen({ verdict, mm }: Margin): boolean {
  return verdict === 'not known' || (mm !== null && verdict !== 'no');
}

/** Turned so that it is reached. */
function turnsThatDo(laid: Laid, slot: Slot, asked: Asked): Remedy[] {
  const now = laid.poses.get(slot)!;
  return turnsOf(laid, slot)
    .filter((pose) => !isSamePose(pose, now) && isOpen(reachOf(withPose(laid, slot, pose), slot, asked)))
    .map((pose) => ({ says: `Turn ${slot} ${turnWords(now, pose)}`, changes: [poseChange(laid, slot, pose)] }));
}

function turnWords(now: Pose, then: Pose): string {
  const by = angle(then.yawDeg - now.yawDeg);
  const flipped = now.face === then.face ? '' : 'over';
  if (Math.abs(by) < 1) return flipped;
  const turn =
    Math.abs(by) > 179 ? 'half round' : `by ${Math.abs(by)} degrees ${by > 0 ? 'to the left' : 'to the right'}`;
  return flipped ? `${flipped} and ${turn}` : turn;
}

function reachOf(laid: Laid, slot: Slot, { opening: { atMm, faceDeg }, as }: Asked): Margin {
  const { words, halfMm, through, withLidOff } = as;
  const pose = laid.poses.get(slot)!;
  const said = { kind: 'reach', slots: [slot], what: `${words} of ${slot}` } as const;
  const { ways } = laid.frame;
  if (!ways) return notKnown({ ...said, says: `${words} of ${slot}: the frame's openings are not known: look` });
  const facing = facingOf(pose, faceDeg);
  const covering = facing[2] === 0 ? null : coveredBy(laid, slot, facing[2] > 0);
  const at = socketAt(pose, atMm);
  const fitting = covering ? [] : ways.filter((way) => through.includes(way.passes) && isFacing(way, facing));
  if (fitting.length === 0) {
    const faces = `${words} of ${slot} faces ${covering ?? `${sideWords(facing)}, where the frame has no opening for it`}`;
    if (withLidOff)
      return mild({
        ...said,
        says: `${faces}: reached only ${covering ? `once ${covering} is off` : 'with the frame open'}`,
      });
    const needMm = 2 * (covering ? halfMm[1] : halfMm[0]);
    const says = covering ? `${faces}: nothing can be plugged in` : faces;
    return margin({ ...said, says }, reckon([], [sized(needMm, 'part')]));
  }
  const each = fitting.map((way) => ({ way, ...sparedBy(way, at, halfMm) }));
  const best = each.reduce((a, b) => (b.mm > a.mm ? b : a));
  const says = `${words} of ${slot} through ${best.way.id}: ${tenths(best.mm)} mm around what goes in, on its nearest side`;
  if (withLidOff && best.mm < 0)
    return mild({
      ...said,
      says: `${words} of ${slot} lies beside the opening ${best.way.id}: reached only with the frame open`,
    });
  return margin({ ...said, says }, best);
}

function socketAt(pose: Pose, atMm: readonly [number, number]): XYZ {
  const [x, y, z] = lying(pose, atMm);
  // Sockets stand on the upper face, about as high as the board is thick.
  return [x, y, pose.face === 'up' ? z + 2 * boardMm : z - boardMm];
}

/** Outwards in the aircraft. */
function facingOf(pose: Pose, faceDeg: number | 'up' | 'down'): XYZ {
  if (typeof faceDeg !== 'number') return [0, 0, faceDeg === pose.face ? 1 : -1];
  const turned = turnedRad(pose, faceDeg);
  return [Math.cos(turned), Math.sin(turned), 0];
}

function isFacing({ facing }: FrameOpening, out: XYZ): boolean {
  const length = Math.hypot(...facing);
  return facing.reduce((dot, part, axis) => dot + (part * out[axis]!) / length, 0) >= straightDot;
}

/** What is left around what goes in, on its nearest side. */
function sparedBy({ atMm, sizeMm, facing }: FrameOpening, at: XYZ, [halfWide, halfHigh]: readonly [number, number]) {
  const off = at.map((mm, axis) => mm - atMm[axis]!) as [number, number, number];
  const isUpright = Math.abs(facing[2]) > Math.hypot(facing[0], facing[1]);
  const flat = Math.hypot(facing[0], facing[1]) || 1;
  const sideways = isUpright ? off[0] : (-facing[1] * off[0] + facing[0] * off[1]) / flat;
  const upwards = isUpright ? off[1] : off[2];
  const sides = [
    reckon([sized(sizeMm[0] / 2 - Math.abs(sideways), 'plate')], [sized(halfWide, 'part')]),
    reckon([sized(sizeMm[1] / 2 - Math.abs(upwards), 'plate')], [sized(halfHigh, 'part')]),
  ];
  return sides.reduce((a, b) => (b.mm < a.mm ? b : a));
}

/** The board over or under it in the stack. */
function coveredBy({ stack, poses }: Laid, slot: Slot, isUp: boolean): string | null {
  if (!stack || poses.get(slot)!.place !== stack.place.id) return null;
  const slots = boardsIn(stack.stack);
  return slots[slots.indexOf(slot) + (isUp ? 1 : -1)] ?? null;
}

function sideWords([x, y, z]: XYZ): string {
  if (z !== 0) return z > 0 ? 'upwards' : 'downwards';
  if (Math.abs(x) > Math.abs(y)) return x > 0 ? 'to the right' : 'to the left';
  return y > 0 ? 'forward' : 'to the rear';
}
