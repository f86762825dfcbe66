/** The write path: records of one quad stored together under its lock, each once however often it is sent. */
import { advance } from '@junctor/core';
import type { Catalogue, Judged, LogState, QuadRecord } from '@junctor/core';
import type { Queries } from '../database/Database';
import { errnoOf, fromJson, fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { viewOpenJob } from '../jobs/jobView';
import { lockedSeq } from '../log/lockedSeq';
import type { LogDeps } from '../log/QuadLogs';
import type { SentRecord } from '../log/repository';
import { contentHash, insertRecord } from '../log/repository';
import { followParts } from '../parts/followParts';
import type { Person } from '../session/session';
import type { Arrivals } from './arrivals';
import { makeArrivals } from './arrivals';
import { refuseCorrection } from './corrections';
import { refuseFaultClaim } from './faultClaim';
import { refuseLayoutClaim } from './layoutClaim';
import { refuseWaiver } from './waiver';

export interface Stored {
  id: string;
  seq: number;
  arrivedAt: string;
  /** What was found of it, where that is not what was sent. */
  judged?: Judged;
}

/** A record on its way in: where it goes and where it stands in what was sent. */
interface Incoming {
  queries: Queries;
  quadId: string;
  record: SentRecord;
  index: number;
  arrivals: Arrivals;
}

/**
 * Each is judged on the log as it stands before it; what the sender believed is kept, what the server found holds.
 * @throws {ApiError} 404 no such quad; 403 in another person's name, or a lead's record corrected by somebody else; 409
 * an id that stands for something else, or a record corrected already; 422 a job of another quad, an unknown part
 * model, a correction of another kind, a waiver of what no rule says or that this person cannot give, a fault closed
 * without the records that show it, a layout that does not fit as signed, something that cannot be added to this log.
 */
export function storeRecords(
  deps: LogDeps,
  quadId: string,
  person: Pick<Person, 'personId' | 'role'>,
  records: readonly SentRecord[],
): Promise<Stored[]> {
  const { database, catalogue, lists, logs, now } = deps;
  records.forEach((record, index) => refuseForged(record, index, person.personId, catalogue));
  return database.transaction(async (queries) => {
    let seq = await lockedSeq(queries, quadId);
    let log: LogState = await logs.read(queries, quadId);
    const arrivedAt = now().toISOString();
    const arrivals = makeArrivals(queries, quadId, arrivedAt);
    const stored: Stored[] = [];
    for (const [index, record] of records.entries()) {
      const incoming = { queries, quadId, record, index, arrivals };
      const before = await storedBefore(incoming);
      if (before) {
        stored.push(before);
        continue;
      }
      await refuseStray(incoming);
      await refuseCorrection(incoming, person.role);
      const { plan } = await arrivals.jobOf(record.jobId);
      if ('saw' in record.body && record.body.saw === 'waiver') {
        const list = await lists.find(queries, plan);
        refuseWaiver({ plan, catalogue, log, list }, person.role, record, index);
      }
      refuseFaultClaim(log, person.role, record, index);
      refuseLayoutClaim({ plan, catalogue, log }, person.role, record, index);
      seq += 1;
      const judged = await arrivals.judge(record, log);
      const next = onTrial(log, { ...record, quadId, seq, arrivedAt, ...(judged ? { judged } : {}) }, index);
      await followParts({ queries, quadId, log }, record);
      await insertOnce(incoming, { quadId, seq, record, arrivedAt, judged });
      log = next;
      stored.push({ id: record.id, seq, arrivedAt, ...otherwise(judged) });
    }
    await queries.write('quads/updateLogSeq', { id: quadId, logSeq: seq });
    await viewOpenJob(queries, deps, quadId, log);
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
}

/** The log with the record. @throws {ApiError} 422 when it cannot be added: a log that cannot be read helps nobody. */
function onTrial(log: LogState, record: QuadRecord, index: number): LogState {
  try {
    const next = advance(log, record);
    // What it touches is worked out later, when somebody asks: here, so that nobody is asked in vain.
    next.acts.at(-1)?.touched();
    return next;
  } catch (error) {
    if (!(error instanceof RangeError) && !(error instanceof TypeError)) throw error;
    throw new ApiError(422, 'record.unfoldable', 'This cannot be added to what is known of the quad', {
      path: `records.${index}.body`,
    });
  }
}

interface FoundRecord {
  streamId: string;
  seq: number;
  arrivedAt: string;
  sha256: Buffer;
  judged: string | null;
}

function otherwise(judged: Judged | null): Pick<Stored, 'judged'> {
  return judged && judged.differs.length > 0 ? { judged } : {};
}

async function storedBefore({ queries, quadId, record, index }: Incoming): Promise<Stored | null> {
  const found = await queries.row<FoundRecord>('records/findRecord', { id: record.id });
  if (!found) return null;
  if (found.streamId !== quadId || !found.sha256.equals(contentHash(record))) {
    throw new ApiError(409, 'record.differs', 'Another record has this id', {
      path: `records.${index}.id`,
      context: { seq: found.seq },
    });
  }
  const judged = found.judged === null ? null : fromJson<Judged>(found.judged);
  return { id: record.id, seq: found.seq, arrivedAt: fromSqlTime(found.arrivedAt), ...otherwise(judged) };
}

async function refuseStray({ quadId, record: { jobId }, index, arrivals }: Incoming): Promise<void> {
  const job = await arrivals.jobOf(jobId).catch((error: unknown) => {
    if (error instanceof ApiError && error.status === 404) return null;
    throw error;
  });
  if (job?.quadId !== quadId) {
    throw new ApiError(422, 'job.elsewhere', 'This job is not one of the quad’s', { path: `records.${index}.jobId` });
  }
}

const duplicate = 1062;

async function insertOnce(
  { queries, record, index }: Incoming,
  storing: Parameters<typeof insertRecord>[1],
): Promise<void> {
  try {
    await insertRecord(queries, storing);
  } catch (error) {
    if (errnoOf(error) !== duplicate || !record.replaces) throw error;
    throw new ApiError(409, 'record.corrected', 'That record was corrected already: correct the correction', {
      path: `records.${index}.replaces`,
    });
  }
}
