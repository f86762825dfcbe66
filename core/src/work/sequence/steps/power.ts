import { lastNote } from '../jobContext';
import { passedPower } from '../passedPower';
import { powerPlace, powerTurns } from '../powerPlace';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type PowerStep = Draft<'power', { kind: 'stage'; stage: 'limited, all' }>;

/** Limited first power. */
export const power: StepKind<PowerStep> = {
  plan: () => [
    {
      verb: 'power',
      subject: 'limited, all',
      about: { kind: 'stage', stage: 'limited, all' },
      place: powerPlace(powerTurns.power),
    },
  ],
  state: (_step, job) => {
    const passed = passedPower(job);
    if (passed) return done(passed.record.id);
    return open(lastNote(job, 'power')?.record.body.verdict === 'stop' ? 'The last power-up was stopped' : null);
  },
  words: () => 'Plug in through the limiter. Hand on the plug',
  why: () => 'a limiter saves the board from what the meter cannot see',
  takesS: () => 90,
};
