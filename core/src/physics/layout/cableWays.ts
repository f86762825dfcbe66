import type { XYZ } from '../../facts/catalogue/frame';
import type { Slot } from '../../facts/terms/names';
import { aerialsOf } from './aerials';
import { cableRuns } from './cables';
import type { Laid } from './laid';
import { routeBetween } from './routes';

/** The ways that cables take, aerials' to their holes among them. */
export function cableWays(laid: Laid): { slot: Slot; slots: readonly Slot[]; points: readonly XYZ[] }[] {
  const runs = cableRuns(laid).map(({ slot, slots, ends }) => ({
    slot,
    slots,
    points: routeBetween(laid, ...ends).points,
  }));
  const aerials = aerialsOf(laid).flatMap(({ slot, from, out }) =>
    out ? [{ slot, slots: [from, slot], points: out.points }] : [],
  );
  return [...runs, ...aerials];
}
