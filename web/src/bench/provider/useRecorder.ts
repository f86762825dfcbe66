/** How something is recorded in a job: with who, when, at which step, and what was known then. */
import type { JobSheet, JobState, Step } from '@junctor/core';
import { useEffect, useMemo, useRef } from 'react';
import { newRecord } from '../../api/newRecord';
import { outbox } from '../../api/outbox';
import type { Person } from '../../api/types';
import type { Recorder } from './bench';

/** Null until job, state and person are known; the same object until one of them changes. */
export function useRecorder(
  job: JobSheet | undefined,
  state: JobState | null,
  person: Person | null | undefined,
): Recorder | null {
  const shownAt = useShownAt(state?.current ?? null);
  return useMemo(() => {
    if (!job || !state || !person) return null;
    const recordEach: Recorder['recordEach'] = (list, replaces, how = 'did') => {
      const doneAt = new Date().toISOString();
      const given = {
        quadId: job.quadId,
        jobId: job.id,
        personId: person.personId,
        planVersion: job.plan.version,
        basisSeq: state.log.storedSeq,
        doneAt,
        how,
        ...(replaces ? { replaces } : {}),
      };
      const made = list.map(({ body, step }) =>
        newRecord(body, { ...given, step, shownAt: step && step === state.current?.id ? shownAt.current : null }),
      );
      outbox.keep(job.quadId, person, made);
    };
    return {
      recordEach,
      record: (bodies, step, replaces, how) =>
        recordEach(
          bodies.map((body) => ({ body, step })),
          replaces,
          how,
        ),
    };
  }, [job, state, person, shownAt]);
}

/** When the current step became current on this screen: what step times are learned from. */
function useShownAt(current: Step | null) {
  const shownAt = useRef(new Date().toISOString());
  const id = current?.id;
  useEffect(() => {
    shownAt.current = new Date().toISOString();
  }, [id]);
  return shownAt;
}
