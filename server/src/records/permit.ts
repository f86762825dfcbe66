/** The permit for limited first power: computed from the log under the quad's lock, or refused with what is missing. */
import { deriveJob, fold } from '@junctor/core';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { findJob } from '../jobs/repository';
import { inTime } from './time';
import type { SentRecord } from './repository';
import { insertRecord, recordsAfter } from './repository';
import type { Stored } from './storeRecords';
import { lockedSeq } from './storeRecords';

export interface PermitRequest {
  id: string;
  jobId: string;
  deviceId: string;
  doneAt: string;
  gate: 'first power';
}

/** @throws {ApiError} 409 `gate.blocking` with the reasons in the order in which to clear them. */
export function givePermit(
  { database, catalogue, now }: Deps,
  quadId: string,
  personId: string,
  request: PermitRequest,
): Promise<Stored> {
  return database.transaction(async (queries) => {
    const logSeq = await lockedSeq(queries, quadId);
    const job = await findJob(queries, request.jobId);
    if (job.quadId !== quadId)
      throw new ApiError(422, 'job.elsewhere', 'This job is not one of the quad’s', { path: 'jobId' });
    const records = await recordsAfter(queries, quadId, 0);
    const before = records.find(({ id }) => id === request.id);
    if (before) return { id: before.id, seq: before.seq!, arrivedAt: before.arrivedAt! };
    const state = deriveJob({ jobId: job.id, plan: job.plan, log: fold(records, catalogue), catalogue });
    if (state.objections.length > 0) {
      throw new ApiError(409, 'gate.blocking', 'Limited power is not open yet', {
        context: { missing: state.objections },
      });
    }
    const checks = [
      ...new Set(state.steps.flatMap(({ by, verb }) => (verb === 'permit' || verb === 'power' ? [] : by))),
    ];
    const arrivedAt = now().toISOString();
    const record: SentRecord = {
      id: request.id,
      jobId: job.id,
      step: 'permit:first power',
      personId,
      deviceId: request.deviceId,
      shownAt: null,
      doneAt: inTime(request.doneAt),
      basisSeq: logSeq,
      planVersion: job.plan.version,
      how: 'did',
      body: { saw: 'permit', gate: request.gate, checks, waivers: state.waived.map(({ waiver }) => waiver.record.id) },
    };
    await insertRecord(queries, quadId, logSeq + 1, record, arrivedAt);
    await queries.write('quads/updateLogSeq', { id: quadId, logSeq: logSeq + 1 });
    return { id: record.id, seq: logSeq + 1, arrivedAt };
  });
}
