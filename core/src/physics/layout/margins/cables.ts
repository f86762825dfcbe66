/** Cables of one length: whether they reach, and how tightly their way bends them. */
import type { Laid } from '../laid';
import { bendMm } from '../bend';
import type { CableRun } from '../cables';
import { cableRuns } from '../cables';
import type { Margin } from '../margin';
import { margin, warned } from '../margin';
import { routeBetween } from '../routes';
import { reckon, sized, tenths } from '../sized';

export function cableMargins(laid: Laid): Margin[] {
  return cableRuns(laid).flatMap((run) => {
    const { mm, points } = routeBetween(laid, ...run.ends);
    return cableMarginsAlong(run, { runMm: mm, points });
  });
}

type Along = Pick<CableRun, 'slot' | 'cable' | 'slots' | 'endsMm'>;

/** Of a cable along its way. */
export function cableMarginsAlong(
  { slot, cable, slots, endsMm }: Along,
  { runMm, points }: { runMm: number; points: Parameters<typeof bendMm>[0] },
): Margin[] {
  const what = `cable from ${slots[0]} to ${slots[1]}`;
  const about = [...new Set([slot, ...slots])];
  const tightMm = bendMm(points);
  const reach = margin(
    {
      kind: 'lead',
      slots: about,
      what,
      says: `the ${what} is ${cable.lengthMm} mm long, its way ${tenths(runMm)} mm, ${endsMm} mm go into its plugs`,
    },
    reckon([sized(cable.lengthMm, 'lead')], [sized(runMm, 'part'), { mm: endsMm, tolMm: 0 }]),
  );
  if (tightMm === Infinity) return [reach];
  const bend = margin(
    {
      kind: 'bend',
      slots: about,
      what: `bend of the ${what}`,
      says:
        `the ${what} has room for a bend of ${tenths(tightMm)} mm at its tightest, ` +
        `below ${tenths(cable.leastBendMm)} mm it is hurt: warm it before it is bent`,
    },
    reckon([sized(tightMm, 'part')], [{ mm: cable.leastBendMm, tolMm: 0 }]),
  );
  // A cable with length to spare takes a wider way than the one that is drawn.
  return [reach, warned(bend)];
}
