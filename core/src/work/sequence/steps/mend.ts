import type { Id } from '../../../facts/terms/names';
import { notesOf } from '../../../facts/log/notesOf';
import { continuityPlace, continuityTurns } from '../continuityPlace';
import { mendingOf } from '../faults';
import { findFault } from '../matters';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type MendStep = Draft<'mend', { kind: 'fault'; record: Id; symptom: string }>;

/** A fault that was found is mended by records of what was done at its place, before the checks that show it. */
export const mend: StepKind<MendStep> = {
  plan: ({ log, jobId }) =>
    notesOf(log, 'fault').flatMap(({ record }): MendStep[] => {
      const { symptom, state } = record.body.fault;
      if (record.jobId !== jobId && state !== 'found') return [];
      return [
        {
          verb: 'mend',
          subject: record.id,
          about: { kind: 'fault', record: record.id, symptom },
          place: continuityPlace(continuityTurns.mend),
        },
      ];
    }),
  state: ({ about }, { log }) => {
    const fault = findFault(log, about.record);
    if (!fault || fault.record.body.fault.state !== 'found') return done(about.record);
    return open(mendingOf(fault, log).length === 0 ? 'Nothing has been done at its place since it was found' : null);
  },
  words: ({ about }) => `Mend the fault: ${about.symptom}`,
  why: () => 'limited power stays closed while a fault is open',
  takesS: () => 20,
};
