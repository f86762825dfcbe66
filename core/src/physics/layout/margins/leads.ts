/** Leads that came with a part: whether they reach where they go. Short cannot be mended. */
import { groupedBy } from '../../../facts/terms/groupedBy';
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
    return [{ slots, runMm: routeBetween(laid, ...ends).mm, lengthMm: wire.lengthMm!, endsMm }];
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
