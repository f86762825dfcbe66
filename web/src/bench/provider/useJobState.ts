/** What plan and log amount to. Goes on from the last state, and only when something is new in it. */
import type { Catalogue, FollowedLog, JobState, LogState, Plan, QuadRecord, TouchList } from '@junctor/core';
import { deriveJob, follow, stateOf } from '@junctor/core';
import { useMemo, useRef } from 'react';

interface JobInput {
  jobId: string;
  plan: Plan | undefined;
  records: readonly QuadRecord[] | undefined;
  /** Undefined until every model that plan and log name has come. */
  catalogue: Catalogue | undefined;
  /** Null while it is worked out. */
  list: TouchList | null;
}

/** Null until everything is there. */
export function useJobState({ jobId, plan, records, catalogue, list }: JobInput): JobState | null {
  const log = useFollowedLog(records, catalogue);
  return useMemo(
    () => (plan && log && catalogue ? deriveJob({ jobId, plan, log, catalogue, list }) : null),
    [jobId, plan, log, catalogue, list],
  );
}

/** The same object while a record is only confirmed: then nothing of the job has to be derived again. */
function useFollowedLog(records: readonly QuadRecord[] | undefined, catalogue: Catalogue | undefined): LogState | null {
  const followed = useRef<FollowedLog | null>(null);
  return useMemo(() => {
    if (!records || !catalogue) return null;
    followed.current = follow(followed.current, records, catalogue);
    return stateOf(followed.current);
  }, [records, catalogue]);
}
