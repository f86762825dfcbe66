/** Leads that came with a part: whether they reach where they go. Short cannot be mended. */
import type { XYZ } from '../../../facts/catalogue/frame';
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { TerminalRef } from '../../../facts/terms/names';
import { splitRef } from '../../../facts/terms/names';
import { exitOf, turnIntoMm } from '../exits';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { routeBetween } from '../routes';
import { runsBetween } from '../runs';
import { reckon, sized, tenths } from '../sized';
import { suppliedEndsMm } from '../supplied';

const spare = (lead: { lengthMm: number; runMm: number; endsMm: number }) => lead.lengthMm - lead.runMm - lead.endsMm;

export function leadMargins(laid: Laid): Margin[] {
  const supplied = runsBetween(laid).flatMap(({ wire, ends, slots }) => {
    const endsMm = suppliedEndsMm(wire);
    if (endsMm === null) return [];
    const { mm, points } = routeBetween(laid, ...ends);
    return [{ slots, runMm: mm + turnsMm(laid, ends, points), lengthMm: wire.lengthMm!, endsMm }];
  });
  return [...groupedBy(supplied, ({ slots }) => [...slots].sort().join(' ')).values()].map((own) => {
    const worst = own.reduce((a, b) => (spare(b) < spare(a) ? b : a));
    const { slots, runMm, lengthMm, endsMm } = worst;
    return margin(
      {
        kind: 'lead',
        slots,
        what: `leads from ${slots[0]} to ${slots[1]}`,
        says: `the shortest lead from ${slots[0]} to ${slots[1]} is ${lengthMm} mm long, its way ${tenths(runMm)} mm, ${endsMm} mm go into its ends`,
      },
      reckon([sized(lengthMm, 'lead')], [sized(runMm, 'part'), { mm: endsMm, tolMm: 0 }]),
    );
  });
}

/** What both ends take to turn into the way. */
function turnsMm({ assembly, poses }: Laid, ends: readonly [TerminalRef, TerminalRef], points: readonly XYZ[]): number {
  const ways = [points, points.toReversed()] as const;
  return ends.reduce((sum, ref, index) => {
    const exit = exitOf(assembly, ref);
    return exit ? sum + turnIntoMm(exit, poses.get(splitRef(ref).slot)!, ways[index]!) : sum;
  }, 0);
}
