/** Everything that the bench screens of one job work with: what is known, and how something is recorded. */
import type {
  Act,
  Catalogue,
  FollowedLog,
  JobSheet,
  JobState,
  Meter,
  Note,
  QuadRecord,
  Step,
  StepId,
} from '@junctor/core';
import { deriveJob, follow, stateOf } from '@junctor/core';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { deviceId, newId } from '../../api/device';
import { useLog } from '../../api/log';
import { enqueue } from '../../api/outbox';
import { covers, modelsNamed, useJob, useMeter, useModels, useTools } from '../../api/queries';
import { useSession } from '../../api/session';
import type { NamedRecord, Person, Tool } from '../../api/types';

export interface Bench {
  job: JobSheet;
  person: Person;
  records: readonly NamedRecord[];
  catalogue: Catalogue;
  state: JobState;
  meter: Meter;
  limiters: readonly Tool[];
  /** Keeps one or more things at once, as done at this step, or as found. */
  record: (bodies: readonly (Act | Note)[], step: StepId | null, replaces?: string, how?: QuadRecord['how']) => void;
  /** The same for several steps at once. */
  recordEach: (
    list: readonly { body: Act | Note; step: StepId | null }[],
    replaces?: string,
    how?: QuadRecord['how'],
  ) => void;
}

type BenchLoad = { is: 'loading' } | { is: 'failed'; why: string } | { is: 'ready'; bench: Bench };

export function useBench(jobId: string): BenchLoad {
  const job = useJob(jobId);
  const tools = useTools();
  const meter = useMeter();
  const person = useSession().data;
  const records = useLog(job.data?.quadId);
  const plan = job.data?.plan;
  const named = useMemo(() => (plan && records ? modelsNamed(plan.target, records) : undefined), [plan, records]);
  const catalogue = useModels(named);
  const logAfter = useFollowedLog();
  const state = useMemo(
    () =>
      plan && records && named && covers(catalogue.data, named)
        ? deriveJob({ jobId, plan, log: logAfter(records, catalogue.data), catalogue: catalogue.data })
        : null,
    [jobId, plan, records, named, catalogue.data, logAfter],
  );
  const shownAt = useShownAt(state?.current ?? null);
  const failed = [job, catalogue, tools].find(({ error, data }) => error && !data);
  if (failed?.error) return { is: 'failed', why: failed.error.message };
  if (!job.data || !person || !records || !catalogue.data || !tools.data || !state || !meter) return { is: 'loading' };
  const { data } = job;

  const recordEach: Bench['recordEach'] = (list, replaces, how = 'did') => {
    const doneAt = new Date().toISOString();
    const made = list.map(({ body, step }): QuadRecord => ({
      id: newId(),
      quadId: data.quadId,
      seq: null,
      jobId,
      step,
      personId: person.personId,
      deviceId: deviceId(),
      shownAt: step && step === state.current?.id ? shownAt.current : null,
      doneAt,
      arrivedAt: null,
      basisSeq: state.lastSeq,
      planVersion: data.plan.version,
      how,
      body,
      ...(replaces ? { replaces } : {}),
    }));
    enqueue(data.quadId, person.personId, made);
  };
  const record: Bench['record'] = (bodies, step, replaces, how) =>
    recordEach(
      bodies.map((body) => ({ body, step })),
      replaces,
      how,
    );
  return {
    is: 'ready',
    bench: {
      job: data,
      person,
      records,
      catalogue: catalogue.data,
      state,
      record,
      recordEach,
      meter,
      limiters: tools.data.filter(({ kind }) => kind === 'limiter'),
    },
  };
}

/** The state of a growing log: goes on from what it was when last asked, instead of from the first record. */
function useFollowedLog() {
  const followed = useRef<FollowedLog | null>(null);
  return useCallback((records: readonly QuadRecord[], catalogue: Catalogue) => {
    followed.current = follow(followed.current, records, catalogue);
    return stateOf(followed.current);
  }, []);
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
