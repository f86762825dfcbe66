/** The touches of a job's plan worked out in the background; how far the job is follows from them. */
import { Superseded } from '../lists/TouchLists';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import { viewOpenJob } from './jobView';
import { findJob } from './repository';

/** Does not wait, and fails nobody: why there is no list is said to whoever asks for it. */
export function beginList(deps: LogDeps, jobId: string): void {
  makeList(deps, jobId).catch((error: unknown) => {
    if (!(error instanceof Superseded)) deps.log.warn({ error, jobId }, 'no list of touches');
  });
}

async function makeList(deps: LogDeps, jobId: string): Promise<void> {
  const { database, lists, logs } = deps;
  const { plan, quadId } = await findJob(database, jobId);
  await lists.make(plan, jobId);
  await database.transaction(async (queries) => {
    await lockedSeq(queries, quadId);
    await viewOpenJob(queries, deps, quadId, await logs.read(queries, quadId));
  });
}
