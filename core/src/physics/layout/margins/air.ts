/** Units that get hot want air. */
import { isVideoUnit } from '../../../facts/catalogue/kinds';
import type { Slot } from '../../../facts/terms/names';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { mild } from '../margin';

export function airMargins(laid: Laid, slot: Slot): Margin[] {
  const place = laid.places.get(laid.poses.get(slot)!.place);
  if (place?.airflow !== 'none' || !isVideoUnit(laid.assembly.model(slot)!.kind)) return [];
  return [
    mild({
      kind: 'air',
      slots: [slot],
      what: `air for ${slot}`,
      says: `no air comes to ${slot} in ${place.id}, and it gets hot: another place, a sink on the plate, or short runs at the bench`,
    }),
  ];
}
