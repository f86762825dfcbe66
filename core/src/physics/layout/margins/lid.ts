/** Whatever is highest under the lid, less what the lid goes down still once it is screwed. */
import { heightMm, highest, standingOn } from '../box';
import type { Slot } from '../../../facts/terms/names';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import type { Sized } from '../sized';
import { reckon, sized, sizedPart, tenths } from '../sized';
import { below, boardsIn, layerMm, lidPlate, platesUnder } from '../stack';

/** Of what stands in the stack: its highest part, and the tips of its screws. */
export function lidMargins(laid: Laid): Margin[] {
  return stackTops(laid).flatMap((top) => underLid(laid, top));
}

/** Of a part that lies by itself under the lid. */
export function ownLidMargins(laid: Laid, slot: Slot): Margin[] {
  const place = laid.places.get(laid.poses.get(slot)!.place);
  if (!place || !['bay', 'surface'].includes(place.kind)) return [];
  const model = laid.assembly.model(slot)!;
  const up = [sizedPart(model.body, heightMm(model))];
  return underLid(laid, { slot, name: slot, fromMm: place.atMm[2], up });
}

interface Top {
  slot: Slot;
  name: string;
  /** What it stands on, over the underside of the lowest plate. */
  fromMm: number;
  up: readonly Sized[];
}

function underLid({ frame }: Laid, { slot, name, fromMm, up }: Top): Margin[] {
  const plate = lidPlate(frame);
  if (!frame.lid || !plate) return [];
  const [least, most] = frame.lid.settlesMm;
  const settles: Sized = { mm: (least + most) / 2, tolMm: (most - least) / 2 };
  const reckoned = reckon([sized(plate.zMm - fromMm, 'post')], [...up, settles]);
  const says = `${tenths(reckoned.mm)} mm between ${name} and the lid once it has settled`;
  return [margin({ kind: 'lid', slots: [slot], what: `${name} under the lid`, says }, reckoned)];
}

function stackTops({ assembly, poses, stack, frame }: Laid): Top[] {
  const slot = stack && boardsIn(stack.stack).at(-1);
  if (!stack || !slot) return [];
  const own = highest(standingOn(assembly.model(slot)!, 'above', poses.get(slot)!));
  const fromMm = stack.place.atMm[2];
  const platesMm = platesUnder(frame, stack.place).reduce((sum, { mm }) => sum + mm, 0);
  const above = [...below(stack.stack, slot), layerMm({ slot }), sized(own, 'board')];
  return [
    { slot, name: `what stands on ${slot}`, fromMm, up: above },
    { slot, name: 'the stack screws’ tips', fromMm, up: [sized(stack.stack.screw.lengthMm - platesMm, 'screw')] },
  ];
}
