/** Can a socket still be reached once all is closed: does it face an opening that lets its plug through. */
import type { FrameOpening, XYZ } from '../../../facts/catalogue/frame';
import type { Body } from '../../../facts/catalogue/partModel';
import type { Pose } from '../../../facts/assembly/build';
import type { Slot } from '../../../facts/terms/names';
import { lying } from '../../geometry/place';
import { boardMm } from '../box';
import type { Laid } from '../laid';
import type { Margin, Remedy } from '../margin';
import { margin, notKnown } from '../margin';
import { reckon, sized, tenths } from '../sized';
import { boardsIn } from '../stack';
import { angle, isSamePose, poseChange, turnsOf, withPose } from '../turned';

/** Half of what goes through: a USB plug's overmould, a card with the fingers that hold it. */
const plugMm = { usb: [5.5, 3.3], card: [6.5, 2] } as const;
type Asked = keyof typeof plugMm;
const asked: readonly string[] = Object.keys(plugMm);
const words: Readonly<Record<Asked, string>> = { usb: 'USB', card: 'card slot' };

/** Sideways by so much of a turn a plug still goes in. */
const straightDot = Math.cos((15 * Math.PI) / 180);

export function reachMargins(laid: Laid, slot: Slot): Margin[] {
  const { openings } = laid.assembly.model(slot)!.body;
  return openings
    .filter(({ what }) => asked.includes(what))
    .map((opening) => {
      const found = reachOf(laid, slot, opening);
      return { ...found, remedies: found.verdict === 'no' ? turnsThatDo(laid, slot, opening) : found.remedies };
    });
}

/** Turned so that it is reached. */
function turnsThatDo(laid: Laid, slot: Slot, opening: Body['openings'][number]): Remedy[] {
  const now = laid.poses.get(slot)!;
  return turnsOf(laid, slot)
    .filter((pose) => !isSamePose(pose, now))
    .flatMap((pose): Remedy[] => {
      const { verdict } = reachOf(withPose(laid, slot, pose), slot, opening);
      if (verdict !== 'go' && verdict !== 'tight') return [];
      return [{ says: `Turn ${slot} ${turnWords(now, pose)}`, changes: [poseChange(laid, slot, pose)] }];
    });
}

function turnWords(now: Pose, then: Pose): string {
  const by = angle(then.yawDeg - now.yawDeg);
  const flipped = now.face === then.face ? '' : 'over';
  if (Math.abs(by) < 1) return flipped;
  const turn =
    Math.abs(by) > 179 ? 'half round' : `by ${Math.abs(by)} degrees ${by > 0 ? 'to the left' : 'to the right'}`;
  return flipped ? `${flipped} and ${turn}` : turn;
}

function reachOf(laid: Laid, slot: Slot, { what, atMm, faceDeg }: Body['openings'][number]): Margin {
  const sort = what as Asked;
  const pose = laid.poses.get(slot)!;
  const said = { kind: 'reach', slots: [slot], what: `${words[sort]} of ${slot}` } as const;
  const { ways } = laid.frame;
  if (!ways) return notKnown({ ...said, says: `${words[sort]} of ${slot}: the frame's openings are not known: look` });
  const facing = facingOf(pose, faceDeg);
  const covering = facing[2] === 0 ? null : coveredBy(laid, slot, facing[2] > 0);
  if (covering)
    return margin(
      { ...said, says: `${words[sort]} of ${slot} faces ${covering}: nothing can be plugged in` },
      reckon([], [sized(2 * plugMm[sort][1], 'part')]),
    );
  const at = socketAt(pose, atMm);
  const fitting = ways.filter((way) => way.passes === sort && isFacing(way, facing));
  if (fitting.length === 0)
    return margin(
      { ...said, says: `${words[sort]} of ${slot} faces ${sideWords(facing)}, where the frame has no opening for it` },
      reckon([], [sized(2 * plugMm[sort][0], 'part')]),
    );
  const each = fitting.map((way) => ({ way, ...through(way, at, plugMm[sort]) }));
  const best = each.reduce((a, b) => (b.mm > a.mm ? b : a));
  return margin(
    {
      ...said,
      says: `${words[sort]} of ${slot} through ${best.way.id}: ${tenths(best.mm)} mm around the plug on its nearest side`,
    },
    best,
  );
}

function socketAt(pose: Pose, atMm: readonly [number, number]): XYZ {
  const [x, y, z] = lying(pose, atMm);
  // Sockets stand on the upper face, about as high as the board is thick.
  return [x, y, pose.face === 'up' ? z + 2 * boardMm : z - boardMm];
}

/** Outwards in the aircraft. */
function facingOf(pose: Pose, faceDeg: number | 'up' | 'down'): XYZ {
  const isUp = pose.face === 'up';
  if (typeof faceDeg !== 'number') return [0, 0, (faceDeg === 'up') === isUp ? 1 : -1];
  const turned = (((isUp ? faceDeg : 180 - faceDeg) + pose.yawDeg) * Math.PI) / 180;
  return [Math.cos(turned), Math.sin(turned), 0];
}

function isFacing({ facing }: FrameOpening, out: XYZ): boolean {
  const length = Math.hypot(...facing);
  return facing.reduce((dot, part, axis) => dot + (part * out[axis]!) / length, 0) >= straightDot;
}

/** What is left around a plug on its nearest side. */
function through({ atMm, sizeMm, facing }: FrameOpening, at: XYZ, [halfWide, halfHigh]: readonly [number, number]) {
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
