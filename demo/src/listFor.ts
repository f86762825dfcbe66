/** The touches of a plan: those that ship for it, else some by rule of thumb. */
import type { Build, Catalogue, Meter, TouchList } from '@junctor/core';
import { assemble } from '@junctor/core';
import { basisOf, shippedList } from '@junctor/catalogue';
import { plainList } from './plainList';

export function listFor(target: Build, catalogue: Catalogue, meter: Meter): TouchList {
  return shippedList(basisOf(target, meter)) ?? plainList(assemble(target, catalogue));
}
