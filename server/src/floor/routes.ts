/** Which quad next: every open job with what it waits for and the next thing to do. */
import type { FloorLine, JobSheet } from '@junctor/core';
import { deriveJob, stepWords } from '@junctor/core';
import { Router } from 'express';
import type { Deps } from '../http/Deps';
import { openJobs } from '../jobs/repository';
import { recordsAfter } from '../records/repository';

export function floorRoutes({ database, catalogue }: Deps): Router {
  const router = Router();
  router.get('/floor', async (_request, response) => {
    const jobs = await openJobs(database);
    const lines = await Promise.all(jobs.map(async (job) => lineOf(job, await recordsAfter(database, job.quadId, 0))));
    response.json(lines);
  });

  function lineOf(job: JobSheet, records: Awaited<ReturnType<typeof recordsAfter>>): FloorLine {
    const { steps, current, asBuilt, findings, words } = deriveJob({ jobId: job.id, plan: job.plan, records, catalogue });
    const open = steps.filter(({ done }) => !done);
    const group = open.filter((step) => step.group === current?.group && step.stretch === current?.stretch);
    const motors = Object.keys(job.plan.target.slots).filter((slot) => catalogue.model(job.plan.target.slots[slot]!).kind === 'motor');
    const minutes = (list: typeof steps) => Math.ceil(list.reduce((sum, { takesS }) => sum + takesS, 0) / 60);
    return {
      jobId: job.id, quadId: job.quadId, quad: job.quad, customer: job.customer, title: job.title, bench: job.bench, dueOn: job.dueOn,
      motors: motors.map((slot) => ({ slot, fitted: slot in asBuilt.slots })), bodyFitted: 'ESC' in asBuilt.slots || 'FC' in asBuilt.slots,
      next: current && stepWords(current, words), nextMinutes: minutes(group), leftMinutes: minutes(open),
      done: steps.length - open.length, all: steps.length,
      against: findings.filter(({ severity }) => severity !== 'warn').map(({ says }) => says),
    };
  }
  return router;
}
