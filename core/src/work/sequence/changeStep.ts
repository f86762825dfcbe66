/** Steps that are acts: done when the difference no longer names them. */
import type { ChangeAbout, ChangeVerb } from '../../facts/assembly/difference';
import type { Act } from '../../facts/assembly/act';
import { changeId } from '../../facts/assembly/difference';
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
    Partial<Pick<StepKind<ChangeStep<Verb>>, 'state'>>,
): StepKind<ChangeStep<Verb>> {
  return {
    // A change with this verb is about what this verb is about; the compiler cannot follow that through the filter.
    plan: ({ changes }) => changes.filter((change) => change.verb === verb) as unknown as ChangeStep<Verb>[],
    state: (step, { leftIds }) => (leftIds.has(changeId(step)) ? open() : done()),
    ...own,
  };
}

/** Why now, for steps that have no better reason. */
export const inThisOrder = 'the plan wants it in this order';
