/** Does a part go into its place: on three axes, and on its holes. */
import type { Slot } from '../../../facts/terms/names';
import { roomMm } from '../box';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin, notKnown, warned } from '../margin';
import { reckon, sized, sizedPart, tenths } from '../sized';

const axes = ['across', 'along', 'up'] as const;

/** Between cheeks a camera may be narrower by so much: washers fill it. */
const washersMm = 4;

export function roomMargins(laid: Laid, slot: Slot): Margin[] {
  const pose = laid.poses.get(slot)!;
  const place = laid.places.get(pose.place);
  if (!place || place.kind === 'arm') return [];
  const model = laid.assembly.model(slot)!;
  const size = roomMm(model, pose);
  if (size.some((mm) => mm <= 0)) {
    const says = `${slot} has no size in the catalogue: measure it, or look how it lies`;
    return [notKnown({ kind: 'room', slots: [slot], what: `${slot} in ${place.id}`, says })];
  }
  // A stack's height is judged with all that is in it.
  const asked = place.kind === 'stack' ? ([0, 1] as const) : ([0, 1, 2] as const);
  const each = asked.map((axis) => ({
    axis,
    ...reckon([sized(place.roomMm[axis], 'plate')], [sizedPart(model.body, size[axis]!)]),
  }));
  const least = each.reduce((a, b) => (b.mm < a.mm ? b : a));
  const says =
    `${slot} in ${place.id}: ${asked.map((axis) => `${tenths(each.find((one) => one.axis === axis)!.mm)} mm left ${axes[axis]}`).join(', ')}` +
    ` (${tenths(size[0])} mm wide as it lies)`;
  return [
    margin({ kind: 'room', slots: [slot], what: `${slot} in ${place.id}`, says }, least),
    ...holes(laid, slot),
    ...(place.kind === 'cheeks' ? [cheeks(slot, each[0]!.mm)] : []),
  ];
}

function cheeks(slot: Slot, widerMm: number): Margin {
  const eachMm = Math.max(0, widerMm / 2);
  return margin(
    {
      kind: 'camera',
      slots: [slot],
      what: `${slot} between its cheeks`,
      says:
        widerMm < 0
          ? `${slot} is ${tenths(-widerMm)} mm wider than its cheeks: file nothing off that the maker did not mean to be filed off`
          : `${slot} is ${tenths(widerMm)} mm narrower than its cheeks: ${eachMm >= 0.4 ? `a washer of ${tenths(eachMm)} mm on each side` : 'it goes between them as it is'}`,
    },
    reckon([{ mm: washersMm, tolMm: 0 }], [{ mm: Math.abs(widerMm), tolMm: 0 }]),
  );
}

/** Slots in a board's mounts take so much. */
const slackMm = 0.5;

function holes({ assembly, poses, places }: Laid, slot: Slot): Margin[] {
  const place = places.get(poses.get(slot)!.place)!;
  const own = assembly.model(slot)!.body.holes;
  if (!place.holes || own.length < 4) return [];
  const pattern = ([0, 1] as const).map((axis) => 2 * Math.max(...own.map(({ atMm }) => Math.abs(atMm[axis]))));
  const offMm = Math.max(...pattern.map((mm, axis) => Math.abs(mm - place.holes!.patternMm[axis]!)));
  const found = margin(
    {
      kind: 'hole pattern',
      slots: [slot],
      what: `holes of ${slot}`,
      says:
        `${slot} has holes at ${pattern.map(tenths).join(' x ')} mm, ${place.id} at ` +
        `${place.holes.patternMm.map(tenths).join(' x ')} mm${offMm > slackMm ? ': tape or an adapter plate, or another place' : ''}`,
    },
    reckon([{ mm: slackMm, tolMm: 0 }], [{ mm: offMm, tolMm: 0 }]),
  );
  // Elsewhere than in a stack it can be taped down instead.
  return [place.kind === 'stack' ? found : warned(found)];
}
