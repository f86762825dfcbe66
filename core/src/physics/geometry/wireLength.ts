/** How long a wire is, where nobody has measured or planned it. */
import type { WireBody } from '../../facts/assembly/build';

/** A wire of unknown length is taken for one from board to board with its service loop. */
const assumedLengthMm = 120;

/** The wire's length in mm; the one assumed length when it has none of its own. */
export function lengthMmOf({ lengthMm }: Pick<WireBody, 'lengthMm'>): number {
  return lengthMm ?? assumedLengthMm;
}
