/** Jobs as the program sees them: with the plan as an object and times in ISO. */
import type { JobSheet, Plan, PlanDraft } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson, fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';

interface JobRow extends Omit<JobSheet, 'plan'> {
  plan: string;
  planVersion: number;
}

function toJob({ plan, planVersion, ...row }: JobRow): JobSheet {
  return {
    ...row,
    openedAt: fromSqlTime(row.openedAt),
    closedAt: row.closedAt && fromSqlTime(row.closedAt),
    plan: planOf(row.id, plan, planVersion),
  };
}

/** The plan of a job from its stored draft and version. */
export function planOf(jobId: string, draft: string, version: number): Plan {
  return { ...fromJson<PlanDraft>(draft), jobId, version };
}

/** @throws {ApiError} 404 when there is no such job. */
export async function findJob(queries: Queries, id: string): Promise<JobSheet> {
  const row = await queries.row<JobRow>('jobs/findJob', { id });
  if (!row) throw new ApiError(404, 'job.missing', 'No such job in this shop');
  return toJob(row);
}

/** Open jobs, nearest due day first. */
export async function openJobs(queries: Queries): Promise<JobSheet[]> {
  return (await queries.rows<JobRow>('jobs/listOpenJobs')).map(toJob);
}

/** Stores a plan under its version. */
export async function savePlan(queries: Queries, plan: Plan): Promise<void> {
  const { jobId, version, ...draft } = plan;
  await queries.write('jobs/updatePlan', { id: jobId, plan: JSON.stringify(draft), planVersion: version });
}
