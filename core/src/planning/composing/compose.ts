/**
 * From a heap of parts to a plan: roles by count, then the planner; what an aircraft needs besides and the heap lacks
 * is tried out of a stock of models, the lightest with which the rules have least to say. Where parts clash the
 * planner's smallest set is said, with its ways out.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartModel } from '../../facts/catalogue/partModel';
import { assemble } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import { emptyBuild } from '../../facts/assembly/build';
import type { PlanDraft } from '../../facts/plan/plan';
import type { Range } from '../../facts/terms/names';
import type { Solve } from '../../facts/terms/solver';
import { bestLay } from '../../physics/layout';
import { planWiring } from '../planner/planWiring';
import type { Conflict, Planned, PlanRequest } from '../planner/request';
import type { WayOut } from '../planner/wayOut';
import { waysOut } from '../planner/waysOut';
import { wishesFor } from '../planner/wishesFor';
import { cellsOf } from './cellsOf';
import { choicesFor } from './choicesFor';
import type { Heap, HeapPart, Lack } from './heap';
import { lacksOf, newest, slotsOf } from './heap';

/** A part that the heap lacks and the aircraft wants. */
export interface Suggestion {
  model: PartModel;
  count: number;
  because: string;
}

export type Composed =
  | { is: 'lacking'; lacks: readonly Lack[] }
  | { is: 'clash'; conflict: Conflict; waysOut: readonly WayOut[]; suggested: readonly Suggestion[] }
  | { is: 'gave up'; why: string }
  | { is: 'composed'; plan: PlanDraft; planned: Planned; suggested: readonly Suggestion[] };

interface Given {
  catalogue: Catalogue;
  /** Models that may be taken for what the heap lacks. */
  stock: readonly PartModel[];
  solve: Solve;
}

/** Parts that are taken besides, where the planner knows no other way out. */
const mostMore = 4;

export function compose(heap: Heap, given: Given): Composed {
  const { catalogue, solve } = given;
  const lacks = lacksOf(heap, catalogue);
  if (lacks.length > 0) return { is: 'lacking', lacks };
  const cells = cellsOf(heap, catalogue);
  const planned = (suggested: readonly Suggestion[]) => {
    const request = requestFor(withParts(heap, suggested), cells, catalogue);
    return { request, result: planWiring(request, solve) };
  };
  const choices = choicesFor(heap, cells, given);
  let suggested = choices.map(({ because, first, count }): Suggestion => ({ because, model: first, count }));
  let { request, result } = planned(suggested);
  for (let round = 0; result.is === 'conflict'; round++) {
    const ways = waysOut(request, result, solve);
    const more = round < mostMore ? ways.find((way) => way.do === 'add') : undefined;
    if (!more) return { is: 'clash', conflict: result, waysOut: ways, suggested };
    const model = newest(more.model, catalogue);
    suggested = [...suggested, { model, because: result.why, count: more.slots.length }];
    ({ request, result } = planned(suggested));
  }
  if (result.is === 'gave up') return result;
  // What bears most gives way to the lightest with which the rules have no more to say.
  for (const [index, { lighter }] of choices.entries())
    for (const model of lighter) {
      const other = suggested.with(index, { ...suggested[index]!, model });
      const tried = planned(other);
      if (tried.result.is !== 'planned' || weigh(tried.result) > weigh(result)) continue;
      [suggested, request, result] = [other, tried.request, tried.result];
      break;
    }
  const target = laid(result.target, catalogue);
  const { links } = result;
  const { wishes } = request;
  const plan: PlanDraft = { target, front: null, links, wishes, pinned: [], cells, schools: {} };
  return { is: 'composed', plan, planned: { ...result, target }, suggested };
}

function requestFor(parts: readonly HeapPart[], cells: Range, catalogue: Catalogue): PlanRequest {
  const slots = slotsOf({ parts }, catalogue);
  return { slots, catalogue, cells, wishes: wishesFor(assemble({ ...emptyBuild, slots }, catalogue)), pinned: [] };
}

function withParts({ parts }: Heap, suggested: readonly Suggestion[]): readonly HeapPart[] {
  return [...parts, ...suggested.map(({ model, count }) => ({ model: model.id, count }))];
}

const worth = { kill: 10_000, stop: 100, warn: 1 } as const;

/** What the rules have to say, weighed. */
function weigh({ findings }: Planned): number {
  return findings.reduce((sum, { severity }) => sum + worth[severity], 0);
}

/** Each part in the frame, where it has one and there is a place for it: the lay that its wires have the lengths of. */
function laid(build: Build, catalogue: Catalogue): Build {
  const { poses } = bestLay(assemble(build, catalogue));
  const slots = Object.entries(build.slots).map(([slot, own]) => [slot, { ...own, pose: poses.get(slot) ?? own.pose }]);
  return { ...build, slots: Object.fromEntries(slots) as Build['slots'] };
}
