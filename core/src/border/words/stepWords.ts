/** Steps in a technician's words, for page, command line and paper: each kind of step has its own. */
import type { Stages } from '../../facts/assembly/assembly';
import type { Step } from '../../work/sequence/stepTable';
import { kindOf } from '../../work/sequence/stepTable';

/** The sentence of a step. */
export function stepWords(step: Step, stages: Stages): string {
  return kindOf(step).words(step, stages);
}

/** Why a step stands where it stands. */
export function whyNow(step: Step): string {
  return kindOf(step).why(step);
}
