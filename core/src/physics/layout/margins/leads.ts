/** Leads that came with a part: whether they reach where they go. Short cannot be mended. */
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { reckon, sized, tenths } from '../sized';
import { spareMm, suppliedLeads } from '../suppliedLeads';

export function leadMargins(laid: Laid): Margin[] {
  return [...groupedBy(suppliedLeads(laid), ({ slots }) => [...slots].sort().join(' ')).values()].map((own) => {
    const worst = own.reduce((a, b) => (spareMm(b) < spareMm(a) ? b : a));
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
