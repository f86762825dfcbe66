/** Along which edge of its arm a wire goes: the one that the blade over the arm reaches last. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Wire } from '../../facts/assembly/build';
import { isEsc, isMotor } from '../../facts/catalogue/kinds';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { endsOf } from '../layout/runs';
import type { Sense } from './motorMap';
import { motorMap } from './motorMap';

/**
 * Between motor and body a blade that turns clockwise, seen from above, goes from the right edge to the left one,
 * looking outwards. null: the wire is on no arm.
 */
export function armEdge(assembly: Assembly, wire: Wire, convention: 'normal' | 'reversed'): 'left' | 'right' | null {
  const corner = (endsOf(assembly, wire) ?? [])
    .map((ref) => cornerOf(assembly, splitRef(ref).slot))
    .find((found) => found !== null);
  const sense = motorMap(assembly, convention).find((motor) => motor.corner === corner)?.sense;
  return sense ? lastEdge[sense] : null;
}

const lastEdge: Readonly<Record<Sense, 'left' | 'right'>> = { clockwise: 'left', anticlockwise: 'right' };

/** Of a motor, and of an ESC that is numbered like one. */
function cornerOf(assembly: Assembly, slot: Slot): number | null {
  const kind = assembly.model(slot)?.kind;
  const number = /\d+$/.exec(slot)?.[0];
  return kind && number && (isMotor(kind) || isEsc(kind)) ? Number(number) : null;
}
