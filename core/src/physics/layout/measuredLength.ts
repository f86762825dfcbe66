/** A wire that was cut otherwise than planned: what speaks against it, and what is recorded. Lengths in mm. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Wire } from '../../facts/assembly/build';
import type { Plan } from '../../facts/plan/plan';
import type { MeasuredLength } from '../../facts/log/records';
import { waysOf } from './wireLength';

/** Longer than planned by so much it is in the way. */
const muchMm = 60;

/** It does not reach, or it is much too long; null: nothing speaks against it. */
export function lengthDoubt(assembly: Assembly, wire: Wire, mm: number, schools: Plan['schools']): string | null {
  const cut = waysOf(assembly, wire, schools);
  if (!cut) return null;
  const leastMm = Math.ceil(cut.mm - cut.slackMm);
  if (mm < leastMm)
    return `${mm} mm, where its way and its ends take ${leastMm} mm with nothing to spare: is the rule at nought?`;
  const planned = wire.lengthMm ?? cut.mm;
  return mm > planned + muchMm ? `${mm} mm, which is ${mm - planned} mm more than planned: is it this wire?` : null;
}

export function lengthNote(wire: Wire, mm: number): MeasuredLength {
  return { saw: 'length', wire: wire.id, mm, reckonedMm: wire.lengthMm };
}
