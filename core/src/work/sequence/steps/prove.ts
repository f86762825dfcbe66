import { restLimitV } from '../../../judgement/checks/expect';
import { notesOf } from '../../../facts/log/notesOf';
import { continuityPlace, continuityTurns } from '../continuityPlace';
import { lastNote } from '../jobContext';
import { passedPower } from '../passedPower';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type ProveStep = Draft<'prove', { kind: 'meter' }>;

/** The meter proved, and nothing left on the main leads. */
export const prove: StepKind<ProveStep> = {
  plan: () => [
    {
      verb: 'prove',
      subject: 'meter',
      about: { kind: 'meter' },
      place: continuityPlace(continuityTurns.prove),
    },
  ],
  /** Power leaves charge behind: after it the proof is asked again, once there is anything to measure again. */
  state: (_step, job) => {
    const last = lastNote(job, 'meter proof');
    if (!last) return open();
    const { tipsApart, tipsTogether, restV } = last.record.body;
    const powered = notesOf(job.log, 'power').some((power) => power.madeSeq > last.madeSeq);
    if (powered && !passedPower(job)) return open('Powered since: capacitors may hold charge');
    if (tipsApart !== 'none') return open('The meter sounded with its tips apart');
    if (tipsTogether !== 'does not stop') return open('The meter did not sound with its tips together');
    if (Math.abs(restV) >= restLimitV)
      return open(`${restV} V on the main leads: bleed through 100 Ω to 1 kΩ, wait, measure again`);
    return done(last.record.id);
  },
  words: () => 'Prove the meter, then measure the main leads',
  why: () => 'a dead meter or a charged capacitor fakes every reading',
  takesS: () => 30,
};
