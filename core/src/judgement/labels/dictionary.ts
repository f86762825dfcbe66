/**
 * What makers print, by stem. General practice of the trade; the one place where trade labels stand.
 */
import { motors } from './senses/motors';
import { power } from './senses/power';
import type { Senses } from './senses/sense';
import { serial } from './senses/serial';
import { otherUnits } from './senses/units';

/** Every reading of a stem; several where the trade uses it for several things. */
export const dictionary: ReadonlyMap<string, readonly Senses[]> = byStem();

function byStem(): Map<string, Senses[]> {
  const all = new Map<string, Senses[]>();
  for (const table of [power, serial, motors, otherUnits])
    for (const [stems, senses] of Object.entries(table))
      for (const stem of stems.split(' ')) all.set(stem, [...(all.get(stem) ?? []), senses]);
  return all;
}
