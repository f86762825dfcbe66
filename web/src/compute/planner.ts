/** The page's end of the planner's workers. */
import type { Finding, PartModel, Plan, Remedy } from '@junctor/core';
import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import type { PlanWork } from './planWorker';

export interface PlanWorker {
  ask: Remote<PlanWork>;
  end: () => void;
}

/** A worker of one's own: whoever opens it ends it. */
export function openPlanWorker(): PlanWorker {
  const worker = new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });
  return { ask: wrap<PlanWork>(worker), end: () => worker.terminate() };
}

/** Remedies of a finding; the worker goes when they are there. */
export async function remediesOf(plan: Plan, models: readonly PartModel[], finding: Finding): Promise<Remedy[]> {
  const { ask, end } = openPlanWorker();
  try {
    return await ask.remedies(plan, models, finding);
  } finally {
    end();
  }
}
