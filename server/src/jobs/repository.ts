/** Jobs as the program sees them: with the plan as an object and times in ISO. */
import type { JobSheet, Plan, PlanDraft, StoredDraft } from '@junctor/core';
import { wholeDraft } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson, fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';

interface JobRow extends Omit<JobSheet, 'plan' | 'intake'> {
  plan: string;
  intake: string | null;
  planVersion: number;
}

function toJob({ plan, planVersion, intake, ...row }: JobRow): JobSheet {
  return {
    ...row,
    openedAt: fromSqlTime(row.openedAt),
    closedAt: row.closedAt && fromSqlTime(row.closedAt),
    intake: intake === null ? null : fromJson(intake),
    plan: planOf(row.id, plan, planVersion),
  };
}

const mostRead = 50;
/** Plans as they were read last: what follows from one is worked out once for each object. Oldest first. */
const read = new Map<string, { draft: string; plan: Plan }>();

/** The plan of a job from its stored draft and version. */
export function planOf(jobId: string, draft: string, version: number): Plan {
  const known = read.get(jobId);
  read.delete(jobId);
  const isSame = known?.draft === draft && known.plan.version === version;
  const plan = isSame ? known.plan : { ...wholeDraft(fromJson<StoredDraft>(draft)), jobId, version };
  read.set(jobId, { draft, plan });
  if (read.size > mostRead) read.delete(read.keys().next().value!);
  return plan;
}

/** @throws {ApiError} 404 when there is no such job. */
export async function findJob(queries: Queries, id: string): Promise<JobSheet> {
  const row = await queries.row<JobRow>('jobs/findJob', { id });
  if (!row) throw new ApiError(404, 'job.missing', 'No such job in this shop');
  return toJob(row);
}

/** Where a part model is used is found by an index, not by reading plans. */
export async function noteModels(
  queries: Queries,
  jobId: string,
  { target }: Pick<PlanDraft, 'target'>,
): Promise<void> {
  const used = new Set(Object.values(target.slots).map(({ model, revision }) => `${model} ${revision}`));
  for (const one of used)
    await queries.write('jobs/insertJobModel', {
      modelId: one.split(' ')[0]!,
      revision: Number(one.split(' ')[1]),
      jobId,
    });
}

/** Stores a plan under its version. */
export async function savePlan(queries: Queries, plan: Plan): Promise<void> {
  const { jobId, version, ...draft } = plan;
  await queries.write('jobs/updatePlan', { id: jobId, plan: JSON.stringify(draft), planVersion: version });
  await noteModels(queries, jobId, draft);
}
