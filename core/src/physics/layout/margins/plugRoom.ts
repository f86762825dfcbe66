/** Room for a plug that is in, and for the bend of its wires, before something else is in the way. */
import { matesOn } from '../../../facts/assembly/build';
import { lookUp } from '../../../facts/terms/lookUp';
import type { Connector, PartModel } from '../../../facts/catalogue/partModel';
import type { Slot } from '../../../facts/terms/names';
import { lying, turnedRad } from '../../geometry/place';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { reckon, sized, tenths } from '../sized';

/** From the pins, where nobody has said more: the plug's body and the bend of its wires. */
const usualMm = 3 + 6;

export function plugRoomMargins(laid: Laid, slot: Slot): Margin[] {
  const pose = laid.poses.get(slot)!;
  const place = laid.places.get(pose.place);
  if (!place) return [];
  const model = laid.assembly.model(slot)!;
  return pluggedIn(laid, slot).map((connector) => {
    const [x, y] = middleOf(model, connector);
    const turned = turnedRad(pose, connector.exitDeg);
    const out = [Math.cos(turned), Math.sin(turned)] as const;
    const at = lying(pose, [x, y]);
    const axis = Math.abs(out[0]) >= Math.abs(out[1]) ? 0 : 1;
    const away = (at[axis]! - place.atMm[axis]!) * Math.sign(out[axis]!);
    const reckoned = reckon(
      [sized(place.roomMm[axis]! / 2 - away, 'plate')],
      [sized(connector.roomMm ?? usualMm, 'part')],
    );
    return margin(
      {
        kind: 'plug room',
        slots: [slot],
        what: `plug in ${slot} ${connector.id}`,
        says: `${tenths(reckoned.mm)} mm beyond the plug in ${slot} ${connector.id} and its wires' bend, in ${place.id}`,
      },
      reckoned,
    );
  });
}

/** Of a stack only: elsewhere a plug may look out of its place. */
function pluggedIn({ assembly, stack, poses }: Laid, slot: Slot): Connector[] {
  if (poses.get(slot)!.place !== stack?.place.id) return [];
  const used = new Set(
    matesOn(slot, assembly.build).flatMap((id) => {
      const { a, b } = lookUp(assembly.build.mates, id)!;
      return [a, b].flatMap((side) => ('slot' in side && side.slot === slot ? [side.connector] : []));
    }),
  );
  return assembly.model(slot)!.connectors.filter(({ id }) => used.has(id));
}

function middleOf({ terminals }: PartModel, { pins }: Connector): readonly [number, number] {
  const at = pins.flatMap((pin) => terminals.find(({ id }) => id === pin)?.atMm ?? []);
  const mean = (axis: 0 | 1) =>
    at.filter((_, index) => index % 2 === axis).reduce((sum, mm) => sum + mm, 0) / Math.max(1, at.length / 2);
  return [mean(0), mean(1)];
}
