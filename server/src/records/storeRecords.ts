/** The write path: records of one quad stored together under its lock, each once however often it is sent. */
import { advance, judgeReading } from '@junctor/core';
import type { Catalogue, LogState } from '@junctor/core';
import type { Queries } from '../database/Database';
import { errnoOf, fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { viewOpenJob } from '../jobs/jobView';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import type { SentRecord } from '../log/repository';
import { contentHash, insertRecord } from '../log/repository';
import { followParts } from '../parts/followParts';
import type { Person } from '../session/session';
import { refuseFaultClaim } from './faultClaim';
import { refuseWaiver } from './waiver';

export interface Stored {
  id: string;
  seq: number;
  arrivedAt: string;
}

/** A record on its way in: where it goes and where it stands in what was sent. */
interface Incoming {
  queries: Queries;
  quadId: string;
  record: SentRecord;
  index: number;
}

/**
 * @throws {ApiError} 404 no such quad; 403 in another person's name; 409 an id that stands for something else, or a
 * record corrected already; 422 a job of another quad, an unknown part model, a verdict that does not follow, a waiver
 * of what no rule says or that this person cannot give, a fault closed without the records that show it.
 */
export function storeRecords(
  { database, catalogue, logs, now }: LogDeps,
  quadId: string,
  person: Pick<Person, 'personId' | 'role'>,
  records: readonly SentRecord[],
): Promise<Stored[]> {
  records.forEach((record, index) => refuseForged(record, index, person.personId, catalogue));
  return database.transaction(async (queries) => {
    let seq = await lockedSeq(queries, quadId);
    let log: LogState = await logs.read(queries, quadId);
    const arrivedAt = now().toISOString();
    const stored: Stored[] = [];
    for (const [index, record] of records.entries()) {
      const incoming = { queries, quadId, record, index };
      const before = await storedBefore(incoming);
      if (before) {
        stored.push(before);
        continue;
      }
      await refuseStray(incoming);
      await refuseWaiver({ queries, catalogue, log }, person.role, record, index);
      refuseFaultClaim(log, person.role, record, index);
      seq += 1;
      await followParts({ queries, quadId, log }, record);
      await insertOnce(incoming, seq, arrivedAt);
      log = advance(log, { ...record, quadId, seq, arrivedAt });
      stored.push({ id: record.id, seq, arrivedAt });
    }
    await queries.write('quads/updateLogSeq', { id: quadId, logSeq: seq });
    await viewOpenJob(queries, catalogue, quadId, log);
    return stored;
  });
}

/** What can be refused without the database: not a fact, but a claim that cannot be true. */
function refuseForged({ body, personId }: SentRecord, index: number, signedIn: string, catalogue: Catalogue): void {
  const path = `records.${index}`;
  if (personId !== signedIn) {
    throw new ApiError(403, 'record.person', 'This record is in another person’s name', { path: `${path}.personId` });
  }
  if ('do' in body && body.do === 'fit' && !catalogue.has(body.fitted)) {
    const { model, revision } = body.fitted;
    const message = `The catalogue has no part model ${model} revision ${revision}`;
    throw new ApiError(422, 'model.unknown', message, { path: `${path}.body.fitted` });
  }
  if ('saw' in body && body.saw === 'power' && body.verdict === 'pass') {
    // An end that nobody expected is never a pass.
    const unseen = body.signs.filter(({ seen }) => !seen).length;
    if (body.endedBy !== 'done' || unseen > 0) {
      const message = `A power-up that ended by “${body.endedBy}” with ${unseen} signs unseen is no pass`;
      throw new ApiError(422, 'power.verdict', message, { path: `${path}.body.verdict` });
    }
  }
  if ('saw' in body && body.saw === 'reading') {
    const { expected, heard, verdict } = body.reading;
    const follows = judgeReading(expected, heard);
    if (verdict !== follows) {
      const message = `The verdict does not follow from what was heard: it is “${follows}”`;
      throw new ApiError(422, 'reading.verdict', message, { path: `${path}.body.reading.verdict` });
    }
  }
}

async function storedBefore({ queries, quadId, record, index }: Incoming): Promise<Stored | null> {
  const found = await queries.row<{ streamId: string; seq: number; arrivedAt: string; sha256: Buffer }>(
    'records/findRecord',
    { id: record.id },
  );
  if (!found) return null;
  if (found.streamId !== quadId || !found.sha256.equals(contentHash(record))) {
    throw new ApiError(409, 'record.differs', 'Another record has this id', {
      path: `records.${index}.id`,
      context: { seq: found.seq },
    });
  }
  return { id: record.id, seq: found.seq, arrivedAt: fromSqlTime(found.arrivedAt) };
}

async function refuseStray({ queries, quadId, record: { jobId, replaces }, index }: Incoming): Promise<void> {
  const job = await queries.row<{ quadId: string }>('jobs/findJob', { id: jobId });
  if (job?.quadId !== quadId) {
    throw new ApiError(422, 'job.elsewhere', 'This job is not one of the quad’s', { path: `records.${index}.jobId` });
  }
  if (!replaces) return;
  const corrected = await queries.row<{ streamId: string }>('records/findRecord', { id: replaces });
  if (corrected?.streamId !== quadId) {
    throw new ApiError(422, 'replaces.nothing', 'The record to be corrected is not in this quad’s log', {
      path: `records.${index}.replaces`,
    });
  }
}

const duplicate = 1062;

async function insertOnce({ queries, quadId, record, index }: Incoming, seq: number, arrivedAt: string): Promise<void> {
  try {
    await insertRecord(queries, { quadId, seq, record, arrivedAt });
  } catch (error) {
    if (errnoOf(error) !== duplicate || !record.replaces) throw error;
    throw new ApiError(409, 'record.corrected', 'That record was corrected already: correct the correction', {
      path: `records.${index}.replaces`,
    });
  }
}
