/** Leads that came with their parts, each with its way and what its ends take. Lengths in mm. */
import type { XYZ } from '../../facts/catalogue/frame';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { exitOf, turnIntoMm } from './exits';
import type { Laid } from './laid';
import { routeBetween } from './routes';
import { runsBetween } from './runs';
import { suppliedEndsMm } from './supplied';

interface SuppliedLead {
  slots: readonly [Slot, Slot];
  lengthMm: number;
  runMm: number;
  endsMm: number;
}

export function suppliedLeads(laid: Laid): SuppliedLead[] {
  return runsBetween(laid).flatMap(({ wire, ends, slots }) => {
    const endsMm = suppliedEndsMm(wire);
    if (endsMm === null) return [];
    const { mm, points } = routeBetween(laid, ...ends);
    return [{ slots, runMm: mm + turnsMm(laid, ends, points), lengthMm: wire.lengthMm!, endsMm }];
  });
}

/** What is left of it; less than 0: it does not reach. */
export function spareMm({ lengthMm, runMm, endsMm }: SuppliedLead): number {
  return lengthMm - runMm - endsMm;
}

/** What both ends take to turn into the way. */
function turnsMm({ assembly, poses }: Laid, ends: readonly [TerminalRef, TerminalRef], points: readonly XYZ[]): number {
  const ways = [points, points.toReversed()] as const;
  return ends.reduce((sum, ref, index) => {
    const exit = exitOf(assembly, ref);
    return exit ? sum + turnIntoMm(exit, poses.get(splitRef(ref).slot)!, ways[index]!) : sum;
  }, 0);
}
