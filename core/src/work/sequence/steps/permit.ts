import { lastNote } from '../jobContext';
import { passedPower } from '../passedPower';
import { validPermit } from '../permit';
import { powerPlace, powerTurns } from '../powerPlace';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type PermitStep = Draft<'permit', { kind: 'gate'; gate: 'first power' }>;

/** The server's word that everything before it holds. */
export const permit: StepKind<PermitStep> = {
  plan: () => [
    {
      verb: 'permit',
      subject: 'first power',
      about: { kind: 'gate', gate: 'first power' },
      place: powerPlace(powerTurns.permit),
    },
  ],
  state: (_step, job) => {
    const by = passedPower(job)?.record ?? validPermit(job.log, job.jobId, job.plan.version);
    if (by) return done(by.id);
    return open(lastNote(job, 'permit') ? 'The last permit no longer holds' : null);
  },
  words: () => 'Ask for the permit: limited first power',
  why: () => 'every check before it holds',
  takesS: () => 5,
};
