/** The permit for limited first power: computed from the log under the quad's lock, or refused with what is missing. */
import { advance, deriveJob, heldTime, lastNote, permitFor } from '@junctor/core';
import type { LogState } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { viewOpenJob } from '../jobs/jobView';
import { findJob } from '../jobs/repository';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import type { SentRecord } from '../log/repository';
import { insertRecord } from '../log/repository';
import { inTime } from '../log/time';
import { toolsIn } from '../tools/repository';
import type { Stored } from './storeRecords';

export interface PermitRequest {
  id: string;
  jobId: string;
  deviceId: string;
  doneAt: string;
  gate: 'first power';
}

/** @throws {ApiError} 409 `gate.blocking` with the reasons in the order in which to clear them. */
export function givePermit(deps: LogDeps, quadId: string, personId: string, request: PermitRequest): Promise<Stored> {
  const { database, catalogue, lists, logs, now } = deps;
  return database.transaction(async (queries) => {
    const logSeq = await lockedSeq(queries, quadId);
    const job = await findJob(queries, request.jobId);
    if (job.quadId !== quadId) {
      throw new ApiError(422, 'job.elsewhere', 'This job is not one of the quad’s', { path: 'jobId' });
    }
    if (job.closedAt !== null) throw blocking(['This job is closed: open another one']);
    const before = await queries.row<{ streamId: string; seq: number; arrivedAt: string }>('records/findRecord', {
      id: request.id,
    });
    if (before?.streamId === quadId) {
      return { id: request.id, seq: before.seq, arrivedAt: fromSqlTime(before.arrivedAt) };
    }
    const log = await logs.read(queries, quadId);
    const arrivedAt = now().toISOString();
    const list = await lists.find(queries, job.plan);
    const state = deriveJob({ jobId: job.id, plan: job.plan, log, catalogue, list });
    if (state.objections.length > 0) throw blocking(state.objections);
    const limiter = await limiterName(queries, log, job.id);
    const wanted = limiter && permitFor(log, job.id, limiter, heldTime(inTime(request.doneAt), arrivedAt));
    if (!wanted) throw blocking(['Measure the pack again and name a limiter of this shop']);
    const proving = state.steps.filter(({ verb }) => verb !== 'permit' && verb !== 'power');
    const checks = [...new Set(proving.flatMap(({ by }) => by))];
    const seq = logSeq + 1;
    const record: SentRecord = {
      id: request.id,
      jobId: job.id,
      step: 'permit:first power',
      personId,
      deviceId: request.deviceId,
      shownAt: null,
      // A permit is the server's word, by the server's clock.
      doneAt: arrivedAt,
      basisSeq: logSeq,
      planVersion: job.plan.version,
      how: 'did',
      body: {
        saw: 'permit',
        gate: request.gate,
        checks,
        waivers: state.waived.map(({ waiver }) => waiver.record.id),
        for: wanted,
      },
    };
    await insertRecord(queries, { quadId, seq, record, arrivedAt });
    await queries.write('quads/updateLogSeq', { id: quadId, logSeq: seq });
    await viewOpenJob(queries, deps, quadId, advance(log, { ...record, quadId, seq, arrivedAt }));
    return { id: record.id, seq, arrivedAt };
  });
}

/** The limiter that was put in line, by its name; null when it is none of this shop. */
async function limiterName(queries: Queries, log: LogState, jobId: string): Promise<string | null> {
  const pack = lastNote({ log, jobId }, 'pack')?.record.body;
  const tools = await toolsIn(queries);
  return tools.find(({ id, kind }) => kind === 'limiter' && id === pack?.limiterId)?.name ?? null;
}

function blocking(missing: readonly string[]): ApiError {
  return new ApiError(409, 'gate.blocking', 'Limited power is not open yet', { context: { missing } });
}
