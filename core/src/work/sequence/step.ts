/** What every kind of step has. Steps are computed from plan and log, never stored. */
import type { Stages } from '../../facts/assembly/assembly';
import type { Id, StepId } from '../../facts/terms/names';
import type { JobContext } from './jobContext';
import type { Place } from './order';

/** A step of one kind before it is put in order: what is to be done, about what, and where it stands. */
export interface Draft<Verb extends string = string, About extends { kind: string } = { kind: string }> {
  verb: Verb;
  /** The name of what it is about: with the verb it makes the step's id, which is the same after every re-plan. */
  subject: string;
  about: About;
  place: Place;
}

export interface StepState {
  done: boolean;
  /** Why it is open again or still, or what is short although it is done, in words. */
  blockedReason: string | null;
  /** Records that satisfy it. */
  by: readonly Id[];
  /** The act that made it open again after it had been done. */
  reopenedBy: Id | null;
}

/** A kind of step, whole: which of them a job has, how far each is, what it says and how long it takes. */
export interface StepKind<D extends Draft> {
  plan(job: JobContext): D[];
  state(step: D, job: JobContext): StepState;
  /** The sentence at the bench: short, imperative, one meaning. */
  words(step: D, stages: Stages): string;
  /** Why it stands where it stands, after "Why now:". */
  why(step: D): string;
  /** At the bench, in seconds: an estimate until the shop has times of its own. */
  takesS(step: D, stages: Stages): number;
}

export type OrderedStep<D extends Draft> = D &
  StepState & {
    id: StepId;
    stretch: Place['stretch'];
    group: Place['group'];
    needs: readonly StepId[];
    takesS: number;
  };

export const open = (blockedReason: string | null = null, reopenedBy: Id | null = null): StepState => ({
  done: false,
  blockedReason,
  by: [],
  reopenedBy,
});

export const done = (...by: readonly Id[]): StepState => ({ done: true, blockedReason: null, by, reopenedBy: null });
