/** Jobs: opened from a template or a build file, read, re-planned, closed. */
import type { Intake, JobState, PlanChange, PlanDraft, TouchesReply } from '@junctor/core';
import { asPattern, deriveJob, emptyPlan, openFaults, planFromBook, wholeDraft, wrongNames } from '@junctor/core';
import { newJob, newTemplate, sentPlanChanges } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Queries } from '../database/Database';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import { changePlan, sentenceOf } from './changePlan';
import { writeJobView } from './jobView';
import { beginList } from './makeList';
import { retiredOf } from '../shop/retired';
import { findTemplate, keepTemplate } from '../templates/repository';
import { findJob, noteModels } from './repository';

interface NewJob {
  id: string;
  quadId: string;
  kind: string;
  title: string;
  dueOn: string | null;
  bench: number;
  intake: Intake;
  plan: { template: string } | { file: { plan: PlanDraft } } | { book: true } | { parts: true } | { pattern: string };
}

export function jobRoutes(deps: LogDeps): Router {
  const { database, logs, lists, now } = deps;
  const router = Router();
  router.post('/jobs', async (request, response) => {
    const { plan, intake, ...job } = validated<NewJob>(newJob, request.body);
    await database.transaction(async (queries) => {
      const draft = await draftOf(queries, deps, { ...job, plan });
      await queries.write('jobs/insertJob', {
        ...job,
        plan: JSON.stringify(draft),
        intake: JSON.stringify(intake),
        openedAt: toSqlTime(now().toISOString()),
      });
      await noteModels(queries, job.id, draft);
      const made = await findJob(queries, job.id);
      await writeJobView(queries, deps, made, await logs.read(queries, made.quadId));
    });
    response.status(201).json(await findJob(database, job.id));
  });
  router.get('/jobs/:id', async (request, response) => {
    response.json(await findJob(database, idFrom(request.params.id)));
  });
  router.get('/jobs/:id/touches', async (request, response) => {
    const { id, plan } = await findJob(database, idFrom(request.params.id));
    const list = await lists.find(database, plan);
    const at = list ? null : await lists.progress(plan);
    if (!list && !at) beginList(deps, id);
    response.json({ list, at } satisfies TouchesReply);
  });
  router.post('/jobs/:id/plan-changes', async (request, response) => {
    const id = idFrom(request.params.id);
    const { changes } = validated<{ version: number; changes: PlanChange[] }>(sentPlanChanges, request.body);
    response.json(await changePlan(deps, id, changes, personIn(response).personId));
  });
  router.post('/jobs/:id/templates', async (request, response) => {
    const { id, name } = validated<{ id: string; name: string }>(newTemplate, request.body);
    const { plan } = await findJob(database, idFrom(request.params.id));
    const by = { personId: personIn(response).personId, at: now() };
    await keepTemplate(database, { id, name, plan: asPattern(plan) }, by);
    response.status(201).json({ id, name });
  });
  router.post('/jobs/:id/close', async (request, response) => {
    await closeJob(deps, idFrom(request.params.id));
    response.status(204).end();
  });
  return router;
}

type Asked = Pick<NewJob, 'quadId' | 'kind' | 'plan'>;

/** Where the plan comes from. @throws {ApiError} 422 for what is not there, or names parts that the catalogue lacks. */
async function draftOf(queries: Queries, deps: LogDeps, { quadId, kind, plan }: Asked): Promise<PlanDraft> {
  if ('parts' in plan) return emptyPlan;
  if ('book' in plan) return draftFromBook(queries, deps, { quadId, isRepair: kind === 'repair' });
  if ('pattern' in plan)
    return asPattern(await draftFromBook(queries, deps, { quadId: plan.pattern, isRepair: false }));
  if ('template' in plan) return sound(await templatePlan(queries, deps, plan.template), deps);
  return sound(wholeDraft(plan.file.plan), deps);
}

async function templatePlan(queries: Queries, deps: LogDeps, id: string): Promise<PlanDraft> {
  const found = await findTemplate(queries, deps, id);
  if (!found) throw new ApiError(422, 'template.unknown', 'No such template plan', { path: 'plan.template' });
  if (!(await retiredOf(queries, 'retired templates')).has(id)) return found.plan;
  throw new ApiError(422, 'template.retired', `The template ${found.name} is retired`, { path: 'plan.template' });
}

function sound(draft: PlanDraft, { catalogue }: LogDeps): PlanDraft {
  const [wrong] = wrongNames(draft, catalogue);
  if (!wrong) return draft;
  const code = wrong.path.startsWith('target.slots') ? 'model.unknown' : 'plan.nowhere';
  throw new ApiError(422, code, sentenceOf(wrong), { path: `plan.file.plan.${wrong.path}` });
}

/** @throws {ApiError} 422 for a quad of which nothing was ever recorded. */
async function draftFromBook(
  queries: Queries,
  { logs }: LogDeps,
  { quadId, isRepair }: { quadId: string; isRepair: boolean },
): Promise<PlanDraft> {
  const [last] = await queries.rows<{ id: string }>('jobs/listJobsOfQuad', { quadId });
  const { asBuilt } = await logs.read(queries, quadId);
  const draft = last && planFromBook(asBuilt.build, (await findJob(queries, last.id)).plan, isRepair);
  if (draft) return draft;
  const message =
    'Its book is empty: nothing was ever recorded of this quad. Take a template or a build file, and say that it comes in wired';
  throw new ApiError(422, 'book.empty', message);
}

/** @throws {ApiError} 409 while steps or faults of the job are open. */
async function closeJob({ database, catalogue, lists, logs, now }: LogDeps, id: string): Promise<void> {
  await database.transaction(async (queries) => {
    const { quadId } = await findJob(queries, id);
    await lockedSeq(queries, quadId);
    const { plan } = await findJob(queries, id);
    const list = await lists.find(queries, plan);
    refuseUnfinished(deriveJob({ jobId: id, plan, log: await logs.read(queries, quadId), catalogue, list }));
    await queries.write('jobs/closeJob', { id, closedAt: toSqlTime(now().toISOString()) });
  });
}

function refuseUnfinished({ steps, log }: Pick<JobState, 'steps' | 'log'>): void {
  const open = steps.filter(({ done }) => !done).length;
  const faults = openFaults(log).length;
  if (open + faults > 0) {
    throw new ApiError(409, 'job.open', `${open} steps and ${faults} faults are open`, { context: { open, faults } });
  }
}
