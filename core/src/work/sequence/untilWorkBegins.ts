/** Steps that are asked for until the job's first act: what was built without them is not asked for them again. */
import type { JobContext } from './jobContext';
import type { Draft, StepState } from './step';

/** All of them before the first act; afterwards those that were done. */
export function untilWorkBegins<D extends Draft>(
  drafts: readonly D[],
  job: JobContext,
  state: (step: D, job: JobContext) => StepState,
): D[] {
  return drafts.filter((draft) => !job.begun || state(draft, job).done);
}
