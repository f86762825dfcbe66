/** Where the steps of continuity stand: the meter first. */
import type { Place } from './order';

export const continuityTurns = { prove: 0, touch: 1 } as const;

export function continuityPlace(turn: number): Place {
  return { stretch: 'continuity', group: { kind: 'continuity' }, turn };
}
