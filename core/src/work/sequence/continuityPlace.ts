/**
 * Where the steps of continuity stand: what is open is mended, then the meter, then what is asked with the last plug
 * apart, that plug, and the touches with everything mated.
 */
import type { Place } from './order';

export const continuityTurns = { mend: 0, prove: 1, apart: 2, home: 3, touch: 4 } as const;

export function continuityPlace(turn: number): Place {
  return { stretch: 'continuity', group: { kind: 'continuity' }, turn };
}
