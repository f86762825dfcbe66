/** Leads that came with their part, at the length at which they came. */
import type { Wire } from '../../facts/assembly/build';

/** What goes into an end that is soldered: out of the pad and what is stripped; a plug takes its contact's length. */
const [solderedMm, pluggedMm] = [4, 2];

/** Legs of a capacitor stand on their pads, and are judged by a rule of their own. */
const isLeg = ({ insulation }: Pick<Wire, 'insulation'>) => insulation === 'none';

/** What the ends of a supplied lead take of its length; null: it is cut to length, a leg, or of unknown length. */
export function suppliedEndsMm(wire: Wire): number | null {
  if (wire.from === 'stock' || wire.lengthMm === null || isLeg(wire)) return null;
  return wire.ends.reduce((sum, { by }) => {
    if (by === 'solder') return sum + solderedMm;
    return by === 'crimp' ? sum + pluggedMm : sum;
  }, 0);
}

/** The longest way that a supplied lead can go. */
export function suppliedReachMm(wire: Wire): number | null {
  const endsMm = suppliedEndsMm(wire);
  return endsMm === null ? null : wire.lengthMm! - endsMm;
}
