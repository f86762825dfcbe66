/** Two parts that somebody has put into one place: by how much they are in each other's way. */
import type { Slot } from '../../../facts/terms/names';
import { standing } from '../standing';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { reckon, sized, tenths } from '../sized';

export function sharedPlaceMargins(laid: Laid): Margin[] {
  const placed = [...laid.poses].filter(([, { place }]) => (laid.places.get(place)?.kind ?? 'stack') !== 'stack');
  return placed.flatMap(([upper, { place }], index) =>
    placed.slice(0, index).flatMap(([lower, other]): Margin[] => {
      if (other.place !== place) return [];
      const intoMm = overlapMm(laid, lower, upper);
      if (intoMm <= 0) return [];
      return [
        margin(
          {
            kind: 'place',
            slots: [lower, upper],
            what: `${lower} and ${upper} in ${place}`,
            says: `${lower} and ${upper} are both in ${place}, ${tenths(intoMm)} mm into each other: one of them goes elsewhere`,
          },
          reckon([{ mm: 0, tolMm: 0 }], [sized(intoMm, 'part')]),
        ),
      ];
    }),
  );
}

/** The shortest way in which one of them would have to give way; none where they lie beside or over each other. */
function overlapMm(laid: Laid, a: Slot, b: Slot): number {
  const [one, other] = [standing(laid, a), standing(laid, b)];
  return Math.min(
    Math.min(one.right, other.right) - Math.max(one.left, other.left),
    Math.min(one.front, other.front) - Math.max(one.rear, other.rear),
    Math.min(one.high, other.high) - Math.max(one.low, other.low),
  );
}
