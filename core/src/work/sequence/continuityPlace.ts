/** Where the steps of continuity stand: what is open is mended, then the meter, then the touches. */
import type { Place } from './order';

export const continuityTurns = { mend: 0, prove: 1, touch: 2 } as const;

export function continuityPlace(turn: number): Place {
  return { stretch: 'continuity', group: { kind: 'continuity' }, turn };
}
