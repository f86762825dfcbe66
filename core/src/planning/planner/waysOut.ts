/**
 * Ways out of a conflict, each priced by what is lost: do without a wish or a part, take a way that loses something,
 * another part in its place or one more, another pack. Each was tried: planned, and judged by all rules.
 */
import type { Slot } from '../../facts/terms/names';
import type { Solve } from '../../facts/terms/solver';
import { attempt, feasible } from './attempt';
import { candidateWays, dropping, leaving, partsOfOne } from './candidateWays';
import { clashOfParts } from './conflict';
import type { Conflict, PlanRequest } from './request';
import { mustsOf, withMusts, withoutParts } from './restricted';
import type { WayOut } from './wayOut';
import { withWayOut } from './wayOut';

/** So many are enough to choose from. */
const mostWays = 8;

/**
 * Ways out of this conflict, cheapest first, each of which lets the whole be planned. Where one thing less is not
 * enough, as many are left out together as it takes.
 * @param works Whether one of them does, where more must be asked than that the request is planned.
 */
export function waysOut(
  request: PlanRequest,
  conflict: Conflict,
  solve: Solve,
  works = (way: WayOut) => leadsOut(way, request, solve),
): WayOut[] {
  const found: WayOut[] = [];
  for (const way of byLoss(candidateWays(request, conflict))) {
    if (found.length === mostWays) break;
    if (works(way)) found.push(way);
  }
  const isOfOne = found.some((way) => way.do === 'drop' || way.do === 'leave out');
  return isOfOne ? found : byLoss([...found, ...togetherLess(request, solve).filter(works)]);
}

/** The cheapest part more that mends it; null when none does. */
export function partMore(
  request: PlanRequest,
  conflict: Conflict,
  solve: Solve,
): Extract<WayOut, { do: 'add' }> | null {
  const more = candidateWays(request, conflict).filter((way) => way.do === 'add');
  return byLoss(more).find((way) => leadsOut(way, request, solve)) ?? null;
}

function byLoss<W extends WayOut>(ways: readonly W[]): W[] {
  return [...ways].sort((a, b) => a.loss - b.loss);
}

/** Planned, and judged by all rules. */
export function leadsOut(way: WayOut, request: PlanRequest, solve: Solve): boolean {
  return isPlanned(withWayOut(way, request), solve);
}

/** The same as planning it, without looking for what stands against it. */
export function isPlanned(request: PlanRequest, solve: Solve): boolean {
  return feasible(request, solve) && attempt(request, solve).is === 'planned';
}

/** What must be done without together: the wishes that cost least, after the parts that cannot be wired at all. */
function togetherLess(request: PlanRequest, solve: Solve): WayOut[] {
  const parts: Slot[] = [];
  let left = request;
  for (let round = 0; round < Object.keys(request.slots).length; round++) {
    const unasked = withMusts(left, new Set());
    const optional = attempt(unasked, solve, { until: 'served' });
    if (optional.is === 'planned') {
      const dropped = optional.wishes.filter(({ wish, way }) => way === null && mustsOf(left).has(wish.id));
      return [
        ...(parts.length > 0 ? [leaving(request, parts)] : []),
        ...(dropped.length > 0 ? [dropping(dropped.map(({ wish }) => wish))] : []),
      ].slice(0, 1);
    }
    if (optional.is === 'gave up') return [];
    const rule = optional.is === 'refused' ? optional.finding.rule : null;
    const { parts: clashing } = clashOfParts(unasked, { solve, rule, onProgress: () => undefined });
    const last = clashing.at(-1);
    if (!last) return [];
    const gone = partsOfOne(left, last);
    parts.push(...gone);
    left = withoutParts(left, new Set(gone));
  }
  return [];
}
