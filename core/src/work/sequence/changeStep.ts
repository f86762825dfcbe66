/** Steps that are acts: done when the difference no longer names them. */
import type { ChangeAbout, ChangeVerb } from '../../facts/assembly/difference';
import type { Act } from '../../facts/assembly/act';
import { changeId } from '../../facts/assembly/difference';
import type { JobContext } from './jobContext';
import type { Place } from './order';
import type { Draft, StepKind } from './step';
import { done, open } from './step';

/** What a change of this verb is about. */
type AboutOf<Verb, Any = ChangeAbout> = Any extends { verb: infer Some; about: infer About }
  ? Verb extends Some
    ? About
    : never
  : never;

interface ChangeStep<Verb extends ChangeVerb> extends Draft<Verb, AboutOf<Verb>> {
  effect: readonly Act[];
}

/** The kind of step for one verb of the difference; what it says and takes is its own. */
export function changeStep<Verb extends ChangeVerb>(
  verb: Verb,
  own: Pick<StepKind<ChangeStep<Verb>>, 'words' | 'why' | 'takesS'> &
    Partial<Pick<StepKind<ChangeStep<Verb>>, 'state'>> & {
      /** Where it is not where its change stands. */
      place?: (step: ChangeStep<Verb>, job: JobContext) => Place;
    },
): StepKind<ChangeStep<Verb>> {
  const { place, ...kind } = own;
  return {
    plan: (job) => {
      // A change with this verb is about what this verb is about; the compiler cannot follow that through the filter.
      const steps = job.changes.filter((change) => change.verb === verb) as unknown as ChangeStep<Verb>[];
      return place ? steps.map((step) => ({ ...step, place: place(step, job) })) : steps;
    },
    state: (step, { leftIds }) => (leftIds.has(changeId(step)) ? open() : done()),
    ...kind,
  };
}

/** Why now, for steps that have no better reason. */
export const inThisOrder = 'the plan wants it in this order';
