/** Where the steps of first power stand. */
import type { Place } from './order';

export const powerTurns = { say: 0, pack: 1, permit: 2, power: 3 } as const;

export function powerPlace(turn: number): Place {
  return { stretch: 'first power', group: { kind: 'first power' }, turn };
}
