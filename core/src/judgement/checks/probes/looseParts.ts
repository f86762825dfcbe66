/**
 * What can be seen of the insides of a part only while it is loose: once it is joined others lie beside them. The
 * quickest readings of each part that show all of it that can be seen so.
 */
import type { Assembly } from '../../../facts/assembly/assembly';
import { partAlone } from '../../../facts/assembly/partAlone';
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { Meter } from '../../../facts/terms/meter';
import type { Slot } from '../../../facts/terms/names';
import { splitRef } from '../../../facts/terms/names';
import type { Solve } from '../../../facts/terms/solver';
import { compileSound } from '../../../physics/circuit/compile';
import { pinsBridged } from '../defects/bridges';
import type { Defect } from '../defects/defect';
import type { LooseTouch } from '../touchList';
import { candidatesOnPart } from './candidates';
import { coverOf } from './cover';
import { evidenceOf } from './evidence';
import { simulator } from './simulate';

/** A fault that no touch shows with everything mated, and its place in the list of all. */
export interface Unseen {
  defect: Defect;
  place: number;
}

export function looseTouches(
  assembly: Assembly,
  unseen: readonly Unseen[],
  { meter, solve }: { meter: Meter; solve: Solve },
): Readonly<Record<Slot, readonly LooseTouch[]>> {
  const ofSlot = groupedBy(
    unseen.filter((one) => slotOf(one) !== null),
    (one) => slotOf(one)!,
  );
  return Object.fromEntries(
    [...ofSlot].flatMap(([slot, own]) => {
      const touches = onPart(assembly, { slot, own }, { meter, solve });
      return touches.length > 0 ? [[slot, touches]] : [];
    }),
  );
}

/** The part that has the fault already while it is loose: inside it, or between pins of one of its plugs. */
function slotOf({ defect: { site, kind } }: Unseen): Slot | null {
  if ('slot' in site) return site.element === undefined ? null : site.slot;
  if (!('between' in site) || kind !== pinsBridged) return null;
  return splitRef(site.between[0]).slot;
}

function onPart(
  { model }: Assembly,
  { slot, own }: { slot: Slot; own: readonly Unseen[] },
  { meter, solve }: { meter: Meter; solve: Solve },
): LooseTouch[] {
  const alone = partAlone(slot, model(slot)!);
  const candidates = candidatesOnPart(alone, slot);
  const defects = own.map(({ defect }) => defect);
  const { good, shownBy } = simulator(compileSound(alone), { defects, meter })(candidates.all);
  const { seenBy, anchors } = evidenceOf(alone, { defects, candidates, good, shownBy });
  const isSeen = (place: number) => good(place) === 'reads' || good(place) === 'silent';
  // A number proves its own contact; a tone where none is due tells by itself.
  const telling = seenBy.map((touches) => touches.filter(isSeen));
  const cover = coverOf({ candidates, wanted: telling.filter((by) => by.length > 0), anchors }, solve);
  if (cover.is === 'gave up') return [];
  const inOrder = [...cover.touches].sort(
    (a, b) => Number(good(a.place) === 'silent') - Number(good(b.place) === 'silent'),
  );
  return inOrder.map(({ place }): LooseTouch => {
    const { black, red, mode } = candidates.all[place]!.touch;
    return {
      black: splitRef(black).terminal,
      red: splitRef(red).terminal,
      mode: mode === 'tone' ? 'tone' : 'diode',
      shows: own.flatMap((one, index) => (telling[index]!.includes(place) ? [one.place] : [])),
    };
  });
}
