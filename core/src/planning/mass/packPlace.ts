/** Where balance wants the pack: does it lie well there, does its lead reach, what is in its way. Lengths in mm. */
import { isBatteryLead } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot, XY } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { acrossMm, extentMm, heightMm } from '../../physics/layout/box';
import type { Laid } from '../../physics/layout/laid';
import { placedSlots } from '../../physics/layout/laid';
import { awayFromBlades } from '../../physics/layout/margins/blades';
import { distance, pointIn } from '../../physics/layout/routes';
import type { Room } from '../../physics/layout/standing';
import { doMeet, standing } from '../../physics/layout/standing';
import { spareMm, suppliedLeads } from '../../physics/layout/suppliedLeads';

export interface PackPlace {
  /** By how much it reaches out over the plate it lies on. */
  overMm: number;
  /** From its strap to the nearest blade's reach; Infinity without blades. */
  bladesMm: number;
  /** What is left of its lead once it is plugged in; null: nobody knows how long it is. */
  leadMm: number | null;
  /** What stands where it must lie. */
  inTheWay: readonly Slot[];
}

/** A strap with its buckle, on each side and above. */
const strapMm = 3;

/** @param atMm Its middle. null: no plate of the frame is known. */
export function packPlace(laid: Laid, pack: PartModel, [x, y]: XY): PackPlace | null {
  const plates = [...(laid.frame.plates ?? [])].sort((a, b) => b.zMm - a.zMm);
  const isUnder = laid.frame.pack === 'underneath';
  const plate = isUnder ? plates.at(-1) : plates[0];
  if (!plate) return null;
  const lowMm = isUnder ? plate.zMm - heightMm(pack) : plate.zMm + plate.thicknessMm;
  const [halfLong, halfWide] = [acrossMm(pack) / 2, extentMm(pack, 1) / 2];
  const strapped: Room = {
    left: x - halfWide - strapMm,
    right: x + halfWide + strapMm,
    rear: y - halfLong,
    front: y + halfLong,
    low: lowMm - (isUnder ? strapMm : 0),
    high: lowMm + heightMm(pack) + (isUnder ? 0 : strapMm),
  };
  const ys = plate.outlineMm.map(([, along]) => along);
  return {
    overMm: Math.max(0, strapped.front - Math.max(...ys), Math.min(...ys) - strapped.rear),
    bladesMm: awayFromBlades(laid, strapped),
    leadMm: leadLeftMm(laid, pack, [x, y, lowMm + heightMm(pack) / 2]),
    inTheWay: placedSlots(laid).filter((slot) => doMeet(standing(laid, slot), strapped)),
  };
}

/** Its lead comes out at the end that is nearer to the plug; the aircraft's own lead gives what it has to spare. */
function leadLeftMm(laid: Laid, pack: PartModel, [x, y, z]: readonly [number, number, number]): number | null {
  const slot = [...laid.poses.keys()].find((one) => isBatteryLead(laid.assembly.model(one)!.kind));
  const pin = slot && laid.assembly.model(slot)!.connectors[0]?.pins[0];
  if (!pin || !pack.cable) return null;
  const plug = pointIn(laid, terminalRef(slot, pin));
  const ends = [-1, 1].map((way) => distance([x, y + (way * acrossMm(pack)) / 2, z], plug));
  const own = suppliedLeads(laid).filter(({ slots }) => slots.includes(slot));
  const leastMm = own.length === 0 ? 0 : Math.max(0, Math.min(...own.map(spareMm)));
  return pack.cable.lengthMm + leastMm - Math.min(...ends);
}
