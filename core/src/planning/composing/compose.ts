/**
 * From parts to a plan: roles by count, then the planner; what an aircraft needs besides and nobody has put on the heap
 * is tried out of a stock of models, the lightest with which the rules have least to say. Where parts clash, in their
 * wiring or in their frame, the smallest set that cannot be is said, with ways out that were tried.
 */
import { assemble } from '../../facts/assembly/assembly';
import { emptyBuild } from '../../facts/assembly/build';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { PlanDraft } from '../../facts/plan/plan';
import type { Range } from '../../facts/terms/names';
import { sameJson } from '../../facts/terms/sameJson';
import type { Conflict, Planned, PlanRequest } from '../planner/request';
import type { WayOut } from '../planner/wayOut';
import { withWayOut } from '../planner/wayOut';
import { isPlanned, leadsOut, partMore, waysOut } from '../planner/waysOut';
import { cellsOf } from './cellsOf';
import { choicesFor } from './choicesFor';
import type { Draft } from './draft';
import { newest } from './heap';
import type { Lack } from './lacks';
import { lacksOf } from './lacks';
import { misfitsOf, waysToFit } from './misfit';
import type { ComposeGiven, Suggestion, Taken } from './wired';
import { laid, requestFor, withLightest, withMore, wired } from './wired';

/** What cannot be together, and what was tried out of it. */
export interface Clash {
  conflict: Conflict;
  waysOut: readonly WayOut[];
}

export type Composed =
  | { is: 'lacking'; lacks: readonly Lack[] }
  | ({ is: 'clash'; suggested: readonly Suggestion[] } & Clash)
  | { is: 'gave up'; why: string }
  | {
      is: 'composed';
      plan: PlanDraft;
      planned: Planned;
      suggested: readonly Suggestion[];
      /** What has no room in its frame: it can be wired, and somebody may find that it goes in. */
      misfit: Clash | null;
    };

/** Parts that are taken besides, where the planner knows no other way out. */
const mostMore = 4;

export function compose(draft: Draft, given: ComposeGiven): Composed {
  const { catalogue, solve, onProgress = () => undefined } = given;
  const begun = withChoices(draft, given);
  if ('lacks' in begun) return { is: 'lacking', lacks: begun.lacks };
  const { cells } = begun;
  let { taken } = begun;
  let { request, result } = wired(taken.draft, cells, given);
  for (let round = 0; result.is === 'conflict'; round++) {
    onProgress(0.5, `looking for a way out: ${result.why}`);
    const more = round < mostMore ? partMore(request, result, solve) : null;
    if (!more)
      return {
        is: 'clash',
        conflict: result,
        waysOut: waysOut(request, result, solve, worksFor(draft, { request, taken, given })),
        suggested: taken.suggested,
      };
    const model = newest(more.model, catalogue);
    taken = withMore(taken, { model, count: more.slots.length, because: result.why }, catalogue);
    ({ request, result } = wired(taken.draft, cells, given));
  }
  if (result.is === 'gave up') return result;
  const { planned, suggested } = begun.choices.reduce(
    (made, choice, index) => withLightest(made, choice, { index, cells, catalogue }),
    { planned: result, suggested: taken.suggested },
  );
  const target = laid(planned.target, catalogue);
  const { wishes, pinned } = taken.draft;
  const plan: PlanDraft = { target, front: null, links: planned.links, wishes, pinned, cells, schools: {} };
  const misfit = clashInFrame(draft, plan, given);
  return { is: 'composed', plan, planned: { ...planned, target }, suggested, misfit };
}

/**
 * Whether the heap is an aircraft once a way out is taken: what it wants besides follows, as another pack wants another
 * capacitor.
 */
function worksFor(
  draft: Draft,
  { request, taken, given }: { request: PlanRequest; taken: Taken; given: ComposeGiven },
): (way: WayOut) => boolean {
  const { onProgress: _, ...quiet } = given;
  return (way) => {
    const begun = withChoices(withWayOut(way, draft), quiet);
    if ('lacks' in begun) return false;
    if (leadsOut(way, request, given.solve)) return true;
    const { slots } = begun.taken.draft;
    if (sameJson(slots, withWayOut(way, { ...taken.draft, cells: null }).slots)) return false;
    return isPlanned(requestFor(begun.taken.draft, begun.cells, quiet), given.solve);
  };
}

/** What has no room, with parts that would have; each was wired and laid, and leaves less that has none. */
function clashInFrame(draft: Draft, { target }: PlanDraft, given: ComposeGiven): Clash | null {
  const { catalogue, onProgress } = given;
  const misfits = misfitsOf(target, catalogue);
  const [first] = misfits;
  if (!first) return null;
  onProgress?.(0.8, `looking for room: ${first.why}`);
  const { onProgress: _, ...quiet } = given;
  const fits = (other: Draft) => {
    const begun = withChoices(other, quiet);
    if ('lacks' in begun) return false;
    const { result } = wired(begun.taken.draft, begun.cells, quiet);
    return result.is === 'planned' && misfitsOf(laid(result.target, catalogue), catalogue).length < misfits.length;
  };
  return { conflict: first, waysOut: waysToFit(draft, first, { ...given, fits }) };
}

type Begun = { lacks: readonly Lack[] } | { taken: Taken; cells: Range; choices: ReturnType<typeof choicesFor> };

/** With what every such aircraft wants besides. */
function withChoices(draft: Draft, given: ComposeGiven): Begun {
  const { catalogue, pack } = given;
  const models = Object.values(draft.slots).map((fitted): PartModel => catalogue.model(fitted));
  const cells = draft.cells ?? cellsOf(models, pack);
  const lacks = lacksOf(models, cells);
  if (lacks.length > 0 || !cells) return { lacks };
  const choices = choicesFor(assemble({ ...emptyBuild, slots: draft.slots }, catalogue), cells, given);
  const taken = choices.reduce<Taken>(
    (made, { first, ...choice }) => withMore(made, { model: first, ...choice }, catalogue),
    {
      draft,
      suggested: [],
    },
  );
  return { taken, cells, choices };
}
