/** Fetches a job for a page of it: one moment, or why it cannot be shown. */
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { Notice } from '../../ui/Notice';
import type { Bench } from './useBench';
import { useBench } from './useBench';

export function WithBench({ children }: { children: (bench: Bench) => ReactNode }) {
  const { jobId } = useParams();
  const load = useBench(jobId!);
  if (load.is === 'failed') return <Notice title="This job cannot be shown">{load.why}</Notice>;
  if (load.is === 'loading') return <Notice title="Fetching the job">One moment.</Notice>;
  return <>{children(load.bench)}</>;
}
