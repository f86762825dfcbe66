/** Jobs: opened from a template or a build file, read, re-planned, closed. */
import type { Intake, JobState, PlanChange, PlanDraft, TouchesReply } from '@junctor/core';
import { deriveJob, openFaults, planFromBook, wholeDraft, wrongNames } from '@junctor/core';
import { newJob, sentPlanChanges } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Queries } from '../database/Database';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import { changePlan, sentenceOf } from './changePlan';
import { writeJobView } from './jobView';
import { beginList } from './makeList';
import { findJob, noteModels } from './repository';

interface NewJob {
  id: string;
  quadId: string;
  kind: string;
  title: string;
  dueOn: string | null;
  bench: number;
  intake: Intake;
  plan: { template: string } | { file: { plan: PlanDraft } } | { book: true };
}

export function jobRoutes(deps: LogDeps): Router {
  const { database, templates, logs, lists, now } = deps;
  const router = Router();
  router.get('/templates', (_request, response) => {
    response.json(templates.map(({ id, name }) => ({ id, name })));
  });
  router.get('/templates/:id', (request, response) => {
    const found = templates.find(({ id }) => id === request.params.id);
    if (!found) throw new ApiError(404, 'template.unknown', 'No such template plan');
    response.json(found);
  });
  router.post('/jobs', async (request, response) => {
    const { plan, intake, ...job } = validated<NewJob>(newJob, request.body);
    await database.transaction(async (queries) => {
      const draft = 'book' in plan ? await draftFromBook(queries, deps, job) : draftOf(deps, plan);
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
  router.post('/jobs/:id/close', async (request, response) => {
    await closeJob(deps, idFrom(request.params.id));
    response.status(204).end();
  });
  return router;
}

/** @throws {ApiError} 422 for an unknown template or a plan that names parts the catalogue lacks. */
function draftOf({ templates, catalogue }: Deps, plan: Exclude<NewJob['plan'], { book: true }>): PlanDraft {
  const draft =
    'template' in plan ? templates.find(({ id }) => id === plan.template)?.plan : wholeDraft(plan.file.plan);
  if (!draft) throw new ApiError(422, 'template.unknown', 'No such template plan', { path: 'plan.template' });
  const [wrong] = wrongNames(draft, catalogue);
  if (wrong)
    throw new ApiError(
      422,
      wrong.path.startsWith('target.slots') ? 'model.unknown' : 'plan.nowhere',
      sentenceOf(wrong),
      { path: `plan.file.plan.${wrong.path}` },
    );
  return draft;
}

/** @throws {ApiError} 422 for a quad of which nothing was ever recorded. */
async function draftFromBook(
  queries: Queries,
  { logs }: LogDeps,
  { quadId, kind }: Pick<NewJob, 'quadId' | 'kind'>,
): Promise<PlanDraft> {
  const [last] = await queries.rows<{ id: string }>('jobs/listJobsOfQuad', { quadId });
  const { asBuilt } = await logs.read(queries, quadId);
  const draft = last && planFromBook(asBuilt.build, (await findJob(queries, last.id)).plan, kind === 'repair');
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
