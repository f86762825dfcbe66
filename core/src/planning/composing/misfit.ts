/** Parts that have no room together in their frame, and ways out of it that were tried. */
import { assemble } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { newestModels } from '../../facts/catalogue/newestModels';
import type { PartModel } from '../../facts/catalogue/partModel';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { layoutOf } from '../../physics/layout';
import { leaving, lossOf, orderLoss, storesWords } from '../planner/candidateWays';
import type { Conflict, PlanRequest } from '../planner/request';
import type { WayOut } from '../planner/wayOut';
import { withWayOut } from '../planner/wayOut';
import type { Draft } from './draft';

/** Margins that do not hold, and that nothing in the layout itself would mend. */
export function misfitsOf(build: Build, catalogue: Catalogue): Conflict[] {
  const margins = layoutOf(assemble(build, catalogue))?.margins ?? [];
  const no = margins.filter(
    ({ verdict, remedies, slots }) => verdict === 'no' && remedies.length === 0 && slots.length > 0,
  );
  const frame = Object.keys(build.slots).filter((slot) => catalogue.model(lookUp(build.slots, slot)!).kind === 'frame');
  return no.map(({ slots, says }) => {
    const parts = [...new Set([...frame, ...slots])];
    return { is: 'conflict', wishes: [], parts, why: says };
  });
}

interface Trying extends Pick<PlanRequest, 'built' | 'inStores'> {
  catalogue: Catalogue;
  stock: readonly PartModel[];
  /** True when a draft can be wired and laid. */
  fits: (draft: Draft) => boolean;
}

const mostWays = 4;

/** Another of the parts that clash, else without one of them: what loses least and weighs least first. */
export function waysToFit(draft: Draft, { parts }: Conflict, given: Trying): WayOut[] {
  const { catalogue, stock, inStores, built, fits } = given;
  const there = parts.filter((slot) => Object.hasOwn(draft.slots, slot));
  const model = (slot: Slot) => catalogue.model(lookUp(draft.slots, slot)!);
  const others = there.flatMap((slot) => {
    const own = model(slot);
    const alike = Object.keys(draft.slots).filter((other) => model(other) === own);
    return newestModels(stock.filter(({ kind, id }) => kind === own.kind && id !== own.id))
      .filter(({ frame }) => frame?.corners.length === own.frame?.corners.length)
      .map(({ id, name, revision, massG }) => {
        const loss = lossOf.exchange + orderLoss(id, inStores);
        const message = `Take ${name} as ${alike.join(', ')}${storesWords(id, inStores)}`;
        const way: WayOut = { do: 'exchange', slots: alike, model: id, revision, loss, message };
        return { way, massG };
      });
  });
  others.sort((a, b) => a.way.loss - b.way.loss || a.massG - b.massG);
  const less = there.filter((slot) => model(slot).kind !== 'frame').map((slot) => leaving({ built }, [slot]));
  const found: WayOut[] = [];
  for (const way of [...others.map((one) => one.way), ...less]) {
    if (found.length === mostWays) break;
    if (fits(opened(way, draft))) found.push(way);
  }
  return found;
}

/** What takes another's place lies where there is room for it. */
function opened(way: WayOut, draft: Draft): Draft {
  const taken = withWayOut(way, draft);
  if (way.do !== 'exchange') return taken;
  const slots = Object.entries(taken.slots).map(
    ([slot, fitted]) => [slot, way.slots.includes(slot) ? { ...fitted, pose: null } : fitted] as const,
  );
  return { ...taken, slots: Object.fromEntries(slots) };
}
