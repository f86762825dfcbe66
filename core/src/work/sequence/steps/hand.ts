import { handOverPlace, handOverTurns, lastWorkSeq } from '../handOver';
import { lastNote } from '../jobContext';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type HandStep = Draft<'hand', { kind: 'hand-over' }>;

/** The quad and its sheet go to the customer. */
export const hand: StepKind<HandStep> = {
  plan: () => [
    { verb: 'hand', subject: 'customer', about: { kind: 'hand-over' }, place: handOverPlace(handOverTurns.hand) },
  ],
  state: (_step, job) => {
    const last = lastNote(job, 'handed over');
    if (!last) return open();
    return lastWorkSeq(job.log, job.jobId) > last.madeSeq ? open('Something was done since') : done(last.record.id);
  },
  words: () => 'Print the sheet and hand the quad over',
  why: () => 'the customer gets what was done, read and replaced in writing',
  takesS: () => 120,
};
