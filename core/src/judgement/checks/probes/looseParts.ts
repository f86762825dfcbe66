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
import type { Defect } from '../defects/defect';
import type { LooseTouch } from '../touchList';
import { candidatesOnPart } from './candidates';
import { coverOf } from './cover';
import { simulate } from './simulate';

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
  const inside = unseen.filter(({ defect: { site } }) => 'slot' in site && site.element !== undefined);
  const ofSlot = groupedBy(inside, ({ defect: { site } }) => ('slot' in site ? site.slot : ''));
  return Object.fromEntries(
    [...ofSlot].flatMap(([slot, own]) => {
      const touches = onPart(assembly, { slot, own }, { meter, solve });
      return touches.length > 0 ? [[slot, touches]] : [];
    }),
  );
}

function onPart(
  { model }: Assembly,
  { slot, own }: { slot: Slot; own: readonly Unseen[] },
  { meter, solve }: { meter: Meter; solve: Solve },
): LooseTouch[] {
  const alone = partAlone(slot, model(slot)!);
  const candidates = candidatesOnPart(alone, slot);
  const { good, shownBy } = simulate(compileSound(alone), candidates.all, {
    defects: own.map(({ defect }) => defect),
    meter,
  });
  // A number proves its own contact: nothing else need be touched.
  const seenBy = shownBy.map((touches) => touches.filter((touch) => good[touch] === 'reads'));
  const wanted = seenBy.filter((by) => by.length > 0);
  const cover = coverOf({ candidates, wanted, anchors: new Map() }, solve);
  if (cover.is === 'gave up') return [];
  return cover.touches.map(({ place }): LooseTouch => {
    const { black, red } = candidates.all[place]!.touch;
    return {
      black: splitRef(black).terminal,
      red: splitRef(red).terminal,
      shows: own.flatMap((one, index) => (seenBy[index]!.includes(place) ? [one.place] : [])),
    };
  });
}
