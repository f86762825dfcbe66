/** What can only be done while a part is loose on the table. */
import type { PartModel } from '../../facts/catalogue/partModel';
import type { NoteKind } from '../../facts/log/logState';
import type { Slot, StepId } from '../../facts/terms/names';
import type { JobContext } from './jobContext';
import { lastNote } from './jobContext';
import type { Place } from './order';
import type { StepState } from './step';
import { done, open } from './step';

interface LoosePart {
  slot: Slot;
  model: PartModel;
}

/** Parts that the job has to fit. */
export function looseParts({ fromStart, target }: JobContext): LoosePart[] {
  return fromStart.flatMap(({ verb, about }) =>
    verb === 'fit' ? [{ slot: about.slot, model: target.model(about.slot)! }] : [],
  );
}

/** Of several of one model the first. */
export function firstOfModel(parts: readonly LoosePart[]): LoosePart[] {
  return parts.filter(({ model }, index) => parts.findIndex((other) => other.model === model) === index);
}

/** Turns of the kit: everything counted in, then receivers set up, parts weighed and signed. */
export const kitTurns = { count: 0, setUp: 1, weigh: 2, sign: 3 } as const;

export function kitPlace(turn: number): Place {
  return { stretch: 'kit', group: { kind: 'kit' }, turn };
}

/** Done by a note of this job about the subject, or put off by saying so. */
export function notedOrSkipped(job: JobContext, saw: NoteKind, subject: string, step: StepId): StepState {
  const by = lastNote(job, saw, subject) ?? lastNote(job, 'skip', step);
  return by ? done(by.record.id) : open();
}
