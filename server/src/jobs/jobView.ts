/**
 * How far each open job is, kept beside it for the Floor: written with every record and plan change, in their own
 * transaction. It carries what it stands on, so that a row that is behind is known and made again; no permit reads it.
 */
import type { JobProgress, JobSheet, LogState, TouchList } from '@junctor/core';
import { coreVersion, deriveJob, progressOf } from '@junctor/core';
import type { Queries } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { LogDeps } from '../log/QuadLogs';
import { findJob } from './repository';

/** What a job is worked out with. */
type Viewing = Pick<LogDeps, 'catalogue' | 'lists'>;

/** Makes the row of a job anew. */
export async function writeJobView(
  queries: Queries,
  { catalogue, lists }: Viewing,
  job: Pick<JobSheet, 'id' | 'plan'>,
  log: LogState,
): Promise<void> {
  await queries.write('jobs/saveView', {
    jobId: job.id,
    seq: log.lastSeq,
    planVersion: job.plan.version,
    coreVersion,
    doc: JSON.stringify(progress({ catalogue, list: await lists.find(queries, job.plan) }, job, log)),
  });
}

/** What cannot be worked out is said on its line, and holds up nobody: its records were facts before. */
function progress(
  given: Pick<Viewing, 'catalogue'> & { list: TouchList | null },
  { id, plan }: Pick<JobSheet, 'id' | 'plan'>,
  log: LogState,
): JobProgress {
  try {
    return progressOf(deriveJob({ jobId: id, plan, log, ...given }));
  } catch (error) {
    return notWorkedOut(error);
  }
}

function notWorkedOut(error: unknown): JobProgress {
  const against = [`This job cannot be worked out: ${(error as Error).message}. Its records are kept.`];
  return { motors: [], bodyFitted: false, next: null, nextMinutes: 0, leftMinutes: 0, done: 0, all: 0, against };
}

/** The row of the quad's open job, if it has one, as of this log. */
export async function viewOpenJob(queries: Queries, viewing: Viewing, quadId: string, log: LogState): Promise<void> {
  const open = await queries.row<{ id: string }>('jobs/findOpenJob', { quadId });
  if (open) await writeJobView(queries, viewing, await findJob(queries, open.id), log);
}

/** What a row stands on, beside what it should stand on. */
export interface ViewStamp {
  jobId: string;
  planVersion: number;
  logSeq: number;
  dueOn: string | null;
  viewSeq: number | null;
  viewPlanVersion: number | null;
  viewCoreVersion: string | null;
}

export function isBehind({ planVersion, logSeq, viewSeq, viewPlanVersion, viewCoreVersion }: ViewStamp): boolean {
  return viewSeq !== logSeq || viewPlanVersion !== planVersion || viewCoreVersion !== coreVersion;
}

/** Makes rows again that are behind, a job at a time; `all` makes every row again. Returns how many. */
export async function rebuildJobViews(
  { database, logs, ...viewing }: Pick<LogDeps, 'database' | 'catalogue' | 'logs' | 'lists'>,
  all = false,
): Promise<number> {
  const stamps = await database.rows<ViewStamp>('jobs/listViewStamps');
  const behind = stamps.filter((stamp) => all || isBehind(stamp));
  for (const { jobId, planVersion, logSeq } of behind) {
    const job = await findJob(database, jobId);
    try {
      await writeJobView(database, viewing, job, await logs.read(database, job.quadId));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      // A log that cannot be folded is one line that says so, not an error for everybody.
      const doc = JSON.stringify(notWorkedOut(error));
      await database.write('jobs/saveView', { jobId, seq: logSeq, planVersion, coreVersion, doc });
    }
  }
  return behind.length;
}
