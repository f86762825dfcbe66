/** Parts that no place of the frame is known for. */
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { notKnown } from '../margin';
import { hasNoPlace } from '../places';

export function notPlacedMargins({ assembly, poses, places }: Laid): Margin[] {
  return [...poses].flatMap(([slot, { place }]) => {
    if (places.has(place) || hasNoPlace(assembly.model(slot)!)) return [];
    return [
      notKnown({
        kind: 'place',
        slots: [slot],
        what: `where ${slot} goes`,
        says: `the frame has no place left for ${slot} that is known: look where it goes, and take a picture`,
      }),
    ];
  });
}
