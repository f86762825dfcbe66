/**
 * The planner: from parts and wishes to a complete wiring, the best there is and proven to be, or the smallest set of
 * wishes or parts that cannot all be. The solver is given.
 */
import type { Solve } from '../../facts/terms/solver';
import { attempt } from './attempt';
import { conflictOf } from './conflict';
import type { OnProgress, PlanRequest, PlanResult } from './request';

/** Plans a wiring. */
export function planWiring(request: PlanRequest, solve: Solve, onProgress: OnProgress = () => undefined): PlanResult {
  const tried = attempt(request, solve, { onProgress });
  if (tried.is === 'planned' || tried.is === 'gave up') return tried;
  return conflictOf(request, { solve, onProgress, rule: tried.is === 'refused' ? tried.finding.rule : null });
}
