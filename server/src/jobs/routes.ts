/** Jobs: opened from a template or a build file, read, re-planned, closed. */
import type { Intake, Plan, PlanChange, PlanDraft, WrongName } from '@junctor/core';
import { applyPlanChanges, deriveJob, fold, newFindings, openFaults, wholeDraft, wrongNames } from '@junctor/core';
import { newJob, sentPlanChanges } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';
import { recordsAfter } from '../records/repository';
import { findJob, noteModels, planOf, savePlan } from './repository';

interface NewJob {
  id: string;
  quadId: string;
  kind: string;
  title: string;
  dueOn: string | null;
  bench: number;
  intake: Intake;
  plan: { template: string } | { file: { plan: PlanDraft } };
}

export function jobRoutes(deps: Deps): Router {
  const { database, templates, now } = deps;
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
    const draft = draftOf(deps, plan);
    await database.transaction(async (queries) => {
      await queries.write('jobs/insertJob', {
        ...job,
        plan: JSON.stringify(draft),
        intake: JSON.stringify(intake),
        openedAt: toSqlTime(now().toISOString()),
      });
      await noteModels(queries, job.id, draft);
    });
    response.status(201).json(await findJob(database, job.id));
  });
  router.get('/jobs/:id', async (request, response) => {
    response.json(await findJob(database, idFrom(request.params.id)));
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
function draftOf({ templates, catalogue }: Deps, plan: NewJob['plan']): PlanDraft {
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

/** @throws {ApiError} 409 while steps or faults of the job are open. */
async function closeJob({ database, catalogue, now }: Deps, id: string): Promise<void> {
  const job = await findJob(database, id);
  const { steps, log } = deriveJob({
    jobId: id,
    plan: job.plan,
    log: fold(await recordsAfter(database, job.quadId, 0), catalogue),
    catalogue,
  });
  const open = steps.filter(({ done }) => !done).length;
  const faults = openFaults(log).length;
  if (open + faults > 0)
    throw new ApiError(409, 'job.open', `${open} steps and ${faults} faults are open`, { context: { open, faults } });
  await database.write('jobs/closeJob', { id, closedAt: toSqlTime(now().toISOString()) });
}

function sentenceOf({ path, reason }: WrongName): string {
  return path.startsWith('target.slots') ? reason.replace(/^t/, 'T') : `${path.split('.')[2]}: ${reason}`;
}

/** Changes merge path by path: a conflict only where what stood there is no longer what the writer saw. */
function changePlan(
  { database, catalogue, now }: Deps,
  jobId: string,
  changes: readonly PlanChange[],
  personId: string,
): Promise<Plan> {
  return database.transaction(async (queries) => {
    const job = await queries.row<{ plan: string; planVersion: number }>('jobs/lockJob', { id: jobId });
    if (!job) throw new ApiError(404, 'job.missing', 'No such job in this shop');
    const plan = planOf(jobId, job.plan, job.planVersion);
    const changed = applyPlanChanges(plan, changes);
    if (!changed.ok) {
      throw new ApiError(409, 'plan.conflict', `Somebody changed ${changed.conflict.path} meanwhile`, {
        path: changed.conflict.path,
        context: { version: job.planVersion },
      });
    }
    // What was wrong before may stay until it is mended; nothing new may lead nowhere or destroy hardware.
    const before = new Set(wrongNames(plan, catalogue).map(({ path }) => path));
    const wrong = wrongNames(changed.plan, catalogue).find(({ path }) => !before.has(path));
    if (wrong) throw new ApiError(422, 'plan.nowhere', sentenceOf(wrong), { path: wrong.path });
    const deadly = newFindings(plan, changed.plan, catalogue).find(({ severity }) => severity === 'kill');
    if (deadly)
      throw new ApiError(422, 'plan.kills', `That would destroy hardware: ${deadly.says}`, {
        path: deadly.wires[0] ? `wires/${deadly.wires[0]}` : 'plan',
      });
    const at = toSqlTime(now().toISOString());
    await queries.write('jobs/insertPlanChange', {
      jobId,
      version: changed.plan.version,
      personId,
      at,
      changes: JSON.stringify(changes),
    });
    await savePlan(queries, changed.plan);
    return changed.plan;
  });
}
