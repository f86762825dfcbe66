/** A positioning unit keeps away from what sends, a compass from what carries the motors' current. */
import { drivesMotors, isBatteryLead, isVideoUnit } from '../../../facts/catalogue/kinds';
import type { PartModel } from '../../../facts/catalogue/partModel';
import type { Slot } from '../../../facts/terms/names';
import { boxGapMm } from '../standing';
import type { Laid } from '../laid';
import { placedSlots } from '../laid';
import type { Margin } from '../margin';
import { margin, warned } from '../margin';
import { reckon, sized, tenths } from '../sized';

interface Keeping {
  disturbs: (model: PartModel) => boolean;
  isDisturbed: (model: PartModel) => boolean;
  mm: number;
  because: string;
}

const isPositioning = ({ kind }: PartModel) => kind === 'positioning';
const hasCompass = (model: PartModel) => isPositioning(model) && model.ports.some(({ kind }) => kind === 'i2c');

/** Experience: nobody's sheet says them, so they warn and do not shut a gate. */
const keeping: readonly Keeping[] = [
  { isDisturbed: isPositioning, disturbs: ({ kind }) => isVideoUnit(kind), mm: 30, because: 'it sends and gets hot' },
  {
    isDisturbed: hasCompass,
    disturbs: (model) => isBatteryLead(model.kind) || drivesMotors(model),
    mm: 40,
    because: 'its current turns a compass',
  },
];

export function apartMargins(laid: Laid): Margin[] {
  const placed = placedSlots(laid);
  return keeping.flatMap((rule) => {
    const of = (is: (model: PartModel) => boolean) => placed.filter((slot) => is(laid.assembly.model(slot)!));
    return of(rule.isDisturbed).flatMap((slot) =>
      nearest(of(rule.disturbs).map((other) => apart(laid, [slot, other], rule))),
    );
  });
}

function nearest(margins: readonly Margin[]): Margin[] {
  const [first] = [...margins].sort((a, b) => a.mm! - b.mm!);
  return first ? [first] : [];
}

function apart(laid: Laid, [slot, other]: readonly [Slot, Slot], { mm, because }: Keeping): Margin {
  const gapMm = boxGapMm(laid, slot, other);
  return warned(
    margin(
      {
        kind: 'apart',
        slots: [slot, other],
        what: `${slot} away from ${other}`,
        says: `${slot} lies ${tenths(gapMm)} mm from ${other}, ${mm} mm are wanted: ${because}`,
      },
      reckon([sized(gapMm, 'part')], [{ mm, tolMm: 0 }]),
    ),
  );
}
