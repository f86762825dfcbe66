/** Which quad next: every open job with what it waits for and the next thing to do. */
import type { FloorLine, JobSheet, XY } from '@junctor/core';
import { deriveJob, fold, isSameGroup, stepWords } from '@junctor/core';
import { Router } from 'express';
import type { Deps } from '../http/Deps';
import { openJobs } from '../jobs/repository';
import { recordsAfter } from '../records/repository';

export function floorRoutes({ database, catalogue }: Deps): Router {
  const router = Router();
  router.get('/floor', async (_request, response) => {
    const jobs = await openJobs(database);
    response.json(await Promise.all(jobs.map(lineNow)));
  });

  // A line stands on the plan and the log alone: it is made again only when one of them has grown.
  const known = new Map<string, { stamp: string; line: FloorLine }>();

  async function lineNow(job: JobSheet): Promise<FloorLine> {
    const records = await recordsAfter(database, job.quadId, 0);
    const stamp = `${job.plan.version} ${records.at(-1)?.seq ?? 0} ${job.dueOn}`;
    const before = known.get(job.id);
    if (before?.stamp === stamp) return before.line;
    const line = lineOf(job, records);
    known.set(job.id, { stamp, line });
    return line;
  }

  function lineOf(job: JobSheet, records: Awaited<ReturnType<typeof recordsAfter>>): FloorLine {
    const state = deriveJob({
      jobId: job.id,
      plan: job.plan,
      log: fold(records, catalogue),
      catalogue,
    });
    const { steps, current, asBuilt, findings } = state;
    const open = steps.filter(({ done }) => !done);
    const group = open.filter(
      (step) => current && isSameGroup(step.group, current.group) && step.stretch === current.stretch,
    );
    const motors = Object.keys(job.plan.target.slots).filter(
      (slot) => catalogue.model(job.plan.target.slots[slot]!).kind === 'motor',
    );
    const minutes = (list: typeof steps) => Math.ceil(list.reduce((sum, { takesS }) => sum + takesS, 0) / 60);
    return {
      jobId: job.id,
      quadId: job.quadId,
      quad: job.quad,
      customer: job.customer,
      title: job.title,
      bench: job.bench,
      dueOn: job.dueOn,
      motors: motors.map((slot, index) => ({
        slot,
        fitted: slot in asBuilt.build.slots,
        ...place(job, slot, index, motors.length),
      })),
      bodyFitted: 'ESC' in asBuilt.build.slots || 'FC' in asBuilt.build.slots,
      next: current && stepWords(current, state),
      nextMinutes: minutes(group),
      leftMinutes: minutes(open),
      done: steps.length - open.length,
      all: steps.length,
      against: findings.filter(({ severity }) => severity !== 'warn').map(({ says }) => says),
    };
  }
  /** From the frame where the plan has one, else on a circle of a middling quad. */
  function place({ plan }: JobSheet, slot: string, index: number, count: number): { atMm: XY; discMm: number } {
    const frame = Object.values(plan.target.slots)
      .map((fitted) => catalogue.model(fitted))
      .find((model) => model.frame)?.frame;
    const corner = frame?.corners.find((one) => one.index === Number(slot.replace(/\D/g, '')));
    if (corner)
      return {
        atMm: corner.level === 'lower' ? [corner.atMm[0] * 1.08, corner.atMm[1] * 1.08] : corner.atMm,
        discMm: corner.discMm,
      };
    const angle = Math.PI / 4 + (2 * Math.PI * index) / count;
    return { atMm: [180 * Math.cos(angle), 180 * Math.sin(angle)], discMm: 204 };
  }
  return router;
}
