import type { Id } from '../../../facts/terms/names';
import { handOverPlace, handOverTurns } from '../handOver';
import type { MatterKind } from '../matters';
import { isClosed, matterWords, mattersOf } from '../matters';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type SettleStep = Draft<'settle', { kind: 'matter'; of: MatterKind; record: Id; message: string }>;

/** A fault proved mended, an answer to what the customer said, a point closed or handed on in writing. */
export const settle: StepKind<SettleStep> = {
  plan: ({ log, jobId }) =>
    mattersOf(log, jobId).map((matter): SettleStep => ({
      verb: 'settle',
      subject: matter.record.id,
      about: { kind: 'matter', of: matter.record.body.saw, record: matter.record.id, message: matterWords(matter) },
      place: handOverPlace(handOverTurns.settle),
    })),
  state: ({ about }, { log, jobId }) => {
    const matter = mattersOf(log, jobId).find(({ record }) => record.id === about.record);
    return !matter || isClosed(matter) ? done(about.record) : open();
  },
  words: ({ about: { of, message } }) => {
    if (of === 'fault') return `Is it mended: ${message}?`;
    return of === 'symptom' ? `The customer said: “${message}”. Is that gone?` : `Open point: ${message}`;
  },
  why: () => 'what is left open is handed on in writing, or not at all',
  takesS: () => 30,
};
