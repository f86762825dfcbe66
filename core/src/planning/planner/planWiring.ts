/**
 * The planner: from parts and wishes to a complete wiring, the best there is and proven to be, or the smallest set of
 * wishes or parts that cannot all be. The solver is given.
 */
import { assemble } from '../../facts/assembly/assembly';
import type { Solve } from '../../facts/terms/solver';
import { withLengths } from '../../physics/layout/wireLength';
import { attempt } from './attempt';
import { conflictOf } from './conflict';
import type { OnProgress, PlanRequest, PlanResult } from './request';

/** Plans a wiring. */
export function planWiring(request: PlanRequest, solve: Solve, onProgress: OnProgress = () => undefined): PlanResult {
  const tried = attempt(request, solve, { onProgress });
  if (tried.is === 'planned') return { ...tried, target: withLengths(assemble(tried.target, request.catalogue)) };
  if (tried.is === 'gave up') return tried;
  return conflictOf(request, { solve, onProgress, rule: tried.is === 'refused' ? tried.finding.rule : null });
}
