/**
 * From parts to a plan: roles by count, then the planner; what an aircraft needs besides and nobody has put on the heap
 * is tried out of a stock of models, the lightest with which the rules have least to say. Where parts clash, in their
 * wiring or in their frame, the smallest set that cannot be is said, with ways out that were tried.
 */
import { assemble } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { PlanDraft } from '../../facts/plan/plan';
import type { Range, Slot } from '../../facts/terms/names';
import type { Solve } from '../../facts/terms/solver';
import { judge } from '../../judgement/rules/judge';
import { bestLay } from '../../physics/layout';
import { planWiring } from '../planner/planWiring';
import type { Conflict, OnProgress, Planned, PlanRequest } from '../planner/request';
import type { WayOut } from '../planner/wayOut';
import { waysOut } from '../planner/waysOut';
import { cellsOf } from './cellsOf';
import type { Choice } from './choicesFor';
import { choicesFor } from './choicesFor';
import type { Draft } from './draft';
import { putOn } from './draft';
import { newest } from './heap';
import type { Lack } from './lacks';
import { lacksOf } from './lacks';
import { misfitOf, waysToFit } from './misfit';
import { withOtherTails } from './otherTails';

/** A part that the heap lacks and the aircraft wants. */
export interface Suggestion {
  model: PartModel;
  slots: readonly Slot[];
  because: string;
}

export type Composed =
  | { is: 'lacking'; lacks: readonly Lack[] }
  | { is: 'clash'; conflict: Conflict; waysOut: readonly WayOut[]; suggested: readonly Suggestion[] }
  | { is: 'gave up'; why: string }
  | { is: 'composed'; plan: PlanDraft; planned: Planned; suggested: readonly Suggestion[] };

export interface ComposeGiven extends Pick<PlanRequest, 'keep' | 'built' | 'inStores' | 'dormant'> {
  catalogue: Catalogue;
  /** Models that may be taken for what the heap lacks. */
  stock: readonly PartModel[];
  /** Says the cells, where nobody else does. */
  pack: PartModel | null;
  solve: Solve;
  onProgress?: OnProgress;
}

/** Parts that are taken besides, where the planner knows no other way out. */
const mostMore = 4;

export function compose(draft: Draft, given: ComposeGiven): Composed {
  const made = composeWired(draft, given);
  if (made.is !== 'composed') return made;
  const { catalogue } = given;
  const misfit = misfitOf(made.plan.target, catalogue);
  if (!misfit) return made;
  const fits = (other: Draft) => {
    const tried = composeWired(other, given);
    return tried.is === 'composed' && misfitOf(tried.plan.target, catalogue) === null;
  };
  const ways = waysToFit(draft, misfit, { ...given, fits });
  return { is: 'clash', conflict: misfit, waysOut: ways, suggested: made.suggested };
}

/** With its wiring alone; how its parts lie is not judged. */
function composeWired(draft: Draft, given: ComposeGiven): Composed {
  const { catalogue, solve, pack, onProgress = () => undefined } = given;
  const models = modelsOf(draft, catalogue);
  const cells = draft.cells ?? cellsOf(models, pack);
  const lacks = lacksOf(models, cells);
  if (lacks.length > 0) return { is: 'lacking', lacks };
  const choices = choicesFor(models, cells, given);
  let taken = choices.reduce<Taken>(
    (made, { first, ...choice }) => withMore(made, { model: first, ...choice }, given),
    {
      draft,
      suggested: [],
    },
  );
  let request = requestFor(taken.draft, cells, given);
  let result = planWiring(request, solve, onProgress);
  for (let round = 0; result.is === 'conflict'; round++) {
    onProgress(0.5, `looking for a way out: ${result.why}`);
    const ways = waysOut(request, result, solve);
    const more = round < mostMore ? ways.find((way) => way.do === 'add') : undefined;
    if (!more) return { is: 'clash', conflict: result, waysOut: ways, suggested: taken.suggested };
    const model = newest(more.model, catalogue);
    taken = withMore(taken, { model, count: more.slots.length, because: result.why }, given);
    request = requestFor(taken.draft, cells, given);
    result = planWiring(request, solve, onProgress);
  }
  if (result.is === 'gave up') return result;
  const lighter = choices.reduce((made, choice, index) => withLightest(made, choice, { index, cells, catalogue }), {
    planned: result,
    suggested: taken.suggested,
  });
  const { suggested } = lighter;
  const target = laid(lighter.planned.target, catalogue);
  const planned = { ...lighter.planned, target };
  const { wishes, pinned } = taken.draft;
  const plan: PlanDraft = { target, front: null, links: planned.links, wishes, pinned, cells, schools: {} };
  return { is: 'composed', plan, planned, suggested };
}

interface Taken {
  draft: Draft;
  suggested: readonly Suggestion[];
}

function withMore(
  { draft, suggested }: Taken,
  { model, count, because }: { model: PartModel; count: number; because: string },
  { catalogue }: Pick<ComposeGiven, 'catalogue'>,
): Taken {
  const more = putOn(draft, { model, count }, catalogue);
  const slots = Object.keys(more.slots).filter((slot) => !Object.hasOwn(draft.slots, slot));
  return { draft: more, suggested: [...suggested, { model, slots, because }] };
}

function requestFor({ slots, wishes, pinned }: Draft, cells: Range, given: ComposeGiven): PlanRequest {
  const { catalogue, keep, built, inStores, dormant } = given;
  return {
    ...{ slots, wishes, pinned, cells, catalogue },
    ...(keep ? { keep } : {}),
    ...(built ? { built } : {}),
    ...(inStores ? { inStores } : {}),
    ...(dormant ? { dormant } : {}),
  };
}

interface Wired {
  planned: Planned;
  suggested: readonly Suggestion[];
}

/** What bears most gives way to the first other with which the rules have no more to say. */
function withLightest(
  wired: Wired,
  { others }: Choice,
  { index, cells, catalogue }: { index: number; cells: Range; catalogue: Catalogue },
): Wired {
  const { planned, suggested } = wired;
  const own = suggested[index]!;
  for (const model of others) {
    const target = own.slots.reduce<Build | null>(
      (build, slot) => build && withOtherTails(build, slot, model),
      planned.target,
    );
    if (!target) continue;
    const findings = judge(assemble(target, catalogue), planned.links, cells);
    if (weigh(findings) > weigh(planned.findings)) continue;
    return { planned: { ...planned, target, findings }, suggested: suggested.with(index, { ...own, model }) };
  }
  return wired;
}

const worth = { kill: 10_000, stop: 100, warn: 1 } as const;

/** What the rules have to say, weighed. */
function weigh(findings: Planned['findings']): number {
  return findings.reduce((sum, { severity }) => sum + worth[severity], 0);
}

/** The model of each part. */
function modelsOf({ slots }: Pick<Draft, 'slots'>, catalogue: Catalogue): PartModel[] {
  return Object.values(slots).map((fitted) => catalogue.model(fitted));
}

/** Each part in the frame, where it has one and there is a place for it: the lay that its wires have the lengths of. */
function laid(build: Build, catalogue: Catalogue): Build {
  const { poses } = bestLay(assemble(build, catalogue));
  const slots = Object.entries(build.slots).map(([slot, own]) => [slot, { ...own, pose: poses.get(slot) ?? own.pose }]);
  return { ...build, slots: Object.fromEntries(slots) as Build['slots'] };
}
