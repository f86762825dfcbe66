/**
 * Why a request cannot be met: the smallest set of wishes, or of parts, that cannot all be. Halves are taken
 * away; what cannot go without the rest becoming possible is the set.
 */
import { isBatteryLead, isController, isMotor } from '../../facts/catalogue/kinds';
import { hasRole } from '../../facts/catalogue/roles';
import { assemble } from '../../facts/assembly/assembly';
import { emptyBuild } from '../../facts/assembly/build';
import type { Slot } from '../../facts/terms/names';
import type { Solve } from '../../facts/terms/solver';
import { alikeParts, grouped } from './alike';
import { attempt, feasible, prepare } from './attempt';
import { takesPart } from './needs';
import { clashWords } from './clashWords';
import type { Conflict, OnProgress, PlanRequest } from './request';
import { mustsOf, withMusts, withoutParts, withoutUnasked } from './restricted';

interface Search {
  solve: Solve;
  onProgress: OnProgress;
  /** The rule that refused every wiring; null when the model itself has none. */
  rule: string | null;
}

/** Wishes or parts of which only the number matters. */
type Group = readonly string[];

export function conflictOf(request: PlanRequest, search: Search): Conflict {
  search.onProgress(0.6, 'looking for what stands against what');
  const found = clashOf(request, search);
  // Where the model alone has no wiring, the rules have not spoken: what they refuse without it is the deeper clash.
  if (search.rule !== null) return found;
  const eased = withoutUnasked(withMusts(withoutParts(request, new Set(found.parts.slice(-1))), new Set()));
  const tried = attempt(eased, search.solve, { until: 'served' });
  return tried.is === 'refused' ? clashOfParts(eased, { ...search, rule: tried.finding.rule }) : found;
}

function clashOf(request: PlanRequest, search: Search): Conflict {
  const can = (one: PlanRequest) => possible(one, search);
  const musts = [...mustsOf(request)];
  const unasked = withMusts(request, new Set());
  if (can(unasked)) {
    const partOf = (id: string) => request.wishes.find((wish) => wish.id === id)!.of;
    const groups = grouped(musts, partOf, alikeParts(request));
    const wishes = smallest(groups, (kept) => can(withMusts(request, new Set(kept))), search.onProgress);
    return { is: 'conflict', wishes, parts: [], why: clashWords(withMusts(request, new Set(wishes)), search) };
  }
  return clashOfParts(unasked, search);
}

/** The same for a request that cannot be met even where no wish must be. */
export function clashOfParts(unasked: PlanRequest, search: Search): Conflict {
  const can = (one: PlanRequest) => possible(one, search);
  const { clashing, others } = partsOf(unasked, can);
  const gone = (kept: readonly Slot[]) => new Set(clashing.filter((slot) => !kept.includes(slot)));
  const groups = grouped(clashing, (slot) => slot, alikeParts(others));
  const parts = smallest(groups, (kept) => can(withoutParts(others, gone(kept))), search.onProgress);
  return { is: 'conflict', wishes: [], parts, why: clashWords(withoutParts(others, gone(parts)), search) };
}

/**
 * The parts among which the clash is, with the request that has no others but what serves them: those that only take;
 * where it cannot be even without them, those that hang on the trunk; else the trunk, where the pack comes in.
 */
function partsOf(
  request: PlanRequest,
  can: (request: PlanRequest) => boolean,
): { clashing: Slot[]; others: PlanRequest } {
  const { build, model } = assemble({ ...emptyBuild, slots: request.slots }, request.catalogue);
  const slots = Object.keys(build.slots);
  const takers = slots.filter((slot) => takesPart(model(slot)!) || isMotor(model(slot)!.kind));
  const served = withoutParts(request, new Set(takers));
  if (can(served)) return { clashing: takers, others: request };
  const { main } = prepare(request).path;
  const isTrunk = (slot: Slot) => slot === main || isController(model(slot)!.kind);
  const isFed = (slot: Slot) => model(slot)!.terminals.some((terminal) => hasRole(terminal, 'supply'));
  const servers = slots.filter((slot) => !takers.includes(slot) && isFed(slot) && !isBatteryLead(model(slot)!.kind));
  const branches = servers.filter((slot) => !isTrunk(slot));
  const trunk = withoutParts(served, new Set(branches));
  if (can(trunk)) return { clashing: branches, others: served };
  return { clashing: servers.filter(isTrunk), others: trunk };
}

/** True when it can be wired, as far as what stood against the whole goes. */
function possible(request: PlanRequest, { solve, rule }: Search): boolean {
  if (!feasible(request, solve)) return false;
  if (rule === null) return true;
  const tried = attempt(request, solve, { until: 'served' });
  return tried.is === 'planned' || (tried.is === 'refused' && tried.finding.rule !== rule);
}

/**
 * The smallest set that cannot be, of one that cannot: first of groups that are alike by halves (what the second half
 * must give beside the first, then what the first must give beside that), then how many of each it takes. What came
 * first is kept rather than what came last.
 */
function smallest(
  all: readonly Group[],
  can: (kept: readonly string[]) => boolean,
  onProgress: OnProgress,
): readonly string[] {
  let tried = 0;
  const cannot = (kept: readonly Group[]) => {
    onProgress(1 - 0.4 / (1 + tried++ / all.length), 'looking for what stands against what');
    return !can(kept.flat());
  };
  const within = (beside: readonly Group[], some: readonly Group[], isAdded: boolean): readonly Group[] => {
    if (isAdded && cannot(beside)) return [];
    if (some.length === 1) return some;
    const half = Math.ceil(some.length / 2);
    const [first, second] = [some.slice(0, half), some.slice(half)];
    const ofSecond = within([...beside, ...first], second, true);
    return [...within([...beside, ...ofSecond], first, ofSecond.length > 0), ...ofSecond];
  };
  const clashing = all.length > 0 ? [...within([], all, false)] : [];
  for (const [place, group] of [...clashing.entries()].reverse()) {
    const others = clashing.filter((other) => other !== group);
    let [possible, enough] = [0, group.length];
    while (enough - possible > 1) {
      const middle = Math.floor((possible + enough) / 2);
      if (cannot([...others, group.slice(0, middle)])) enough = middle;
      else possible = middle;
    }
    clashing[place] = group.slice(0, enough);
  }
  return clashing.flat();
}
