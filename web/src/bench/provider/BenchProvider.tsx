/** Fetches a job and derives it once for every screen inside it; or says why it cannot be shown, and a way on. */
import { findEntry } from '@junctor/core';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { useLog } from '../../api/log';
import { covers, modelsNamed, useJob, useMeter, useModels, useTools, useTouches } from '../../api/queries';
import { useSession } from '../../api/session';
import { Notice } from '../../ui/Notice';
import type { Bench } from './bench';
import { BenchContext } from './useBench';
import { useJobState } from './useJobState';
import { useRecorder } from './useRecorder';

export function BenchProvider({ jobId, children }: { jobId: string; children: ReactNode }) {
  const load = useLoadedBench(jobId);
  if (load.is === 'failed')
    return (
      <Notice title="This job cannot be shown" end>
        {load.why}
      </Notice>
    );
  if (load.is === 'loading') return <Notice title="Fetching the job">One moment.</Notice>;
  return <BenchContext value={load.bench}>{children}</BenchContext>;
}

type Load = { is: 'loading' } | { is: 'failed'; why: string } | { is: 'ready'; bench: Bench };

function useLoadedBench(jobId: string): Load {
  const job = useJob(jobId);
  const tools = useTools();
  const meter = useMeter();
  const person = useSession().data;
  const records = useLog(job.data?.quadId);
  const plan = job.data?.plan;
  const named = useMemo(() => (plan && records ? modelsNamed(plan.target, records) : undefined), [plan, records]);
  const models = useModels(named);
  const catalogue = named && covers(models.data, named) ? models.data : undefined;
  const touches = useTouches(jobId, plan?.version, meter?.id);
  const state = useJobState({ jobId, plan, records, catalogue, list: touches.data?.list ?? null });
  const listing = touches.data?.at ?? null;
  const isListed = touches.data !== undefined;
  const recorder = useRecorder(job.data, state, person);
  const bench = useMemo((): Bench | null => {
    if (!job.data || !person || !records || !catalogue || !tools.data || !state || !meter || !recorder || !isListed)
      return null;
    const limiters = tools.data.filter(({ kind }) => kind === 'limiter');
    const before = (id: string) => findEntry(state.log, id)?.before.asBuilt ?? state.asBuilt;
    return { before, job: job.data, person, records, catalogue, state, meter, limiters, listing, ...recorder };
  }, [job.data, person, records, catalogue, tools.data, state, meter, listing, isListed, recorder]);
  const failed = [job, models, tools, touches].find(({ error, data }) => error && !data);
  if (failed?.error) return { is: 'failed', why: failed.error.message };
  return bench ? { is: 'ready', bench } : { is: 'loading' };
}
