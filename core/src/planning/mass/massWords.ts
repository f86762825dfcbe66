/** Mass and balance in words. */
import { movesMm } from '../../physics/layout/margins/blades';
import type { Flying } from './flying';
import type { Balance } from './balance';
import type { PackPlace } from './packPlace';

/** "4 mm back of the motors’ middle". */
export function centreWords({ atMm: [x, y] }: NonNullable<Balance['centre']>): string {
  return fromMiddle(x, y);
}

/** "its middle 11 mm forward of the motors’ middle, 3 mm either way". */
export function packWords({ rightMm, forwardMm, offMm, place }: NonNullable<Flying['packAt']>): string {
  const at = `its middle ${fromMiddle(rightMm, forwardMm)}, ${Math.max(1, Math.round(offMm))} mm either way`;
  const there = place ? placeWords(place) : [];
  return there.length === 0 ? at : `${at}; there ${there.join(', ')}`;
}

/** What speaks against a pack where balance wants it. */
function placeWords({ overMm, bladesMm, leadMm, inTheWay }: PackPlace): string[] {
  return [
    ...(overMm >= 1 ? [`it reaches ${Math.round(overMm)} mm over the plate’s edge`] : []),
    ...(inTheWay.length > 0
      ? [`${inTheWay.join(' and ')} ${inTheWay.length > 1 ? 'stand' : 'stands'} in its way`]
      : []),
    ...(leadMm !== null && leadMm < 0 ? [`its lead is ${Math.ceil(-leadMm)} mm short of the plug`] : []),
    ...(bladesMm < movesMm ? [`its strap is ${Math.max(0, Math.floor(bladesMm))} mm from the blades’ reach`] : []),
  ];
}

/** "pulls 3.1 to 3.8 times its weight; hovers at 5.2 A a motor, some 9 min". */
export function thrustWords({ toWeight: [low, high], hoverA, hoverMin }: NonNullable<Flying['thrust']>): string {
  return `pulls ${low.toFixed(1)} to ${high.toFixed(1)} times its weight; hovers at ${hoverA.toFixed(1)} A a motor, some ${Math.round(hoverMin)} min`;
}

function fromMiddle(rightMm: number, forwardMm: number): string {
  const [right, forward] = [Math.round(rightMm), Math.round(forwardMm)];
  const along = forward === 0 ? [] : [`${Math.abs(forward)} mm ${forward > 0 ? 'forward' : 'back'}`];
  const across = right === 0 ? [] : [`${Math.abs(right)} mm ${right > 0 ? 'to the right' : 'to the left'}`];
  const apart = [...along, ...across];
  return apart.length === 0 ? 'over the motors’ middle' : `${apart.join(' and ')} of the motors’ middle`;
}
