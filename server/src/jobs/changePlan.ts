/** Changing a plan: path by path, under the locks of quad and job. */
import type { Catalogue, Plan, PlanChange, WrongName } from '@junctor/core';
import { applyPlanChanges, newFindings, wrongNames } from '@junctor/core';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import { writeJobView } from './jobView';
import { findJob, planOf, savePlan } from './repository';

/**
 * The plan with the changes made. They merge path by path: a conflict only where what stood there is no longer what the
 * writer saw.
 * @throws {ApiError} 404 no such job; 409 somebody else changed the same; 422 it leads nowhere or would destroy
 * hardware.
 */
export function changePlan(
  { database, catalogue, lists, logs, now }: LogDeps,
  jobId: string,
  changes: readonly PlanChange[],
  personId: string,
): Promise<Plan> {
  return database.transaction(async (queries) => {
    // Quad before job, as everywhere: the quad's view stands on both.
    const { quadId } = await findJob(queries, jobId);
    await lockedSeq(queries, quadId);
    const job = await queries.row<{ plan: string; planVersion: number }>('jobs/lockJob', { id: jobId });
    if (!job) throw new ApiError(404, 'job.missing', 'No such job in this shop');
    const before = planOf(jobId, job.plan, job.planVersion);
    const after = changed(before, changes);
    refuseBad(before, after, catalogue);
    await queries.write('jobs/insertPlanChange', {
      jobId,
      version: after.version,
      personId,
      at: toSqlTime(now().toISOString()),
      changes: JSON.stringify(changes),
    });
    await savePlan(queries, after);
    await writeJobView(queries, { catalogue, lists }, { id: jobId, plan: after }, await logs.read(queries, quadId));
    return after;
  });
}

function changed(plan: Plan, changes: readonly PlanChange[]): Plan {
  const result = applyPlanChanges(plan, changes);
  if (result.ok) return result.plan;
  const { path } = result.conflict;
  throw new ApiError(409, 'plan.conflict', `Somebody changed ${path} meanwhile`, {
    path,
    context: { version: plan.version },
  });
}

/** What was wrong before may stay until it is mended; nothing new may lead nowhere or destroy hardware. */
function refuseBad(before: Plan, after: Plan, catalogue: Catalogue): void {
  // Places in a list move when something before them goes.
  const named = ({ path, reason }: WrongName) => `${path.replace(/\.\d+/, '')} ${reason}`;
  const known = new Set(wrongNames(before, catalogue).map(named));
  const wrong = wrongNames(after, catalogue).find((one) => !known.has(named(one)));
  if (wrong) throw new ApiError(422, 'plan.nowhere', sentenceOf(wrong), { path: wrong.path });
  const deadly = newFindings(before, after, catalogue).find(({ severity }) => severity === 'kill');
  if (!deadly) return;
  throw new ApiError(422, 'plan.kills', `That would destroy hardware: ${deadly.message}`, {
    path: deadly.wires[0] ? `wires/${deadly.wires[0]}` : 'plan',
  });
}

/** "W3: there is no FC.TX9"; "The catalogue has no part model ...". */
export function sentenceOf({ path, reason }: WrongName): string {
  const [, table, name] = path.split('.');
  return table === 'slots' ? capitalised(reason) : `${name}: ${reason}`;
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
