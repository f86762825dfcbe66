/** The log of a quad in the database. */
import { createHash } from 'node:crypto';
import type { Act, Judged, Note, QuadRecord } from '@junctor/core';
import { canonicalJson, isAct } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson, fromSqlTime, toSqlTime } from '../database/Database';

/** What a client sends; the rest of a record is the server's. */
export type SentRecord = Omit<QuadRecord, 'quadId' | 'seq' | 'arrivedAt' | 'judged'>;

/** A record with the name of whoever made it. */
type NamedRecord = QuadRecord & { person: string };

type Row = Omit<NamedRecord, 'body' | 'replaces' | 'judged'> & {
  body: string;
  replaces: string | null;
  judged: string | null;
  doneAt: string;
  arrivedAt: string;
};

/** Records after a seq, in order. */
export async function recordsAfter(queries: Queries, quadId: string, after: number): Promise<NamedRecord[]> {
  const rows = await queries.rows<Row>('records/listRecords', { streamId: quadId, after });
  return rows.map(({ replaces, body, judged, shownAt, doneAt, arrivedAt, ...row }) => ({
    ...row,
    shownAt: shownAt && fromSqlTime(shownAt),
    doneAt: fromSqlTime(doneAt),
    arrivedAt: fromSqlTime(arrivedAt),
    body: fromJson<Act | Note>(body),
    ...(replaces ? { replaces } : {}),
    ...(judged ? { judged: fromJson<Judged>(judged) } : {}),
  }));
}

interface Storing {
  quadId: string;
  seq: number;
  record: SentRecord;
  arrivedAt: string;
  /** What the server found of it. */
  judged?: Judged | null;
}

/** Adds one record at a seq; the caller holds the quad's lock. */
export async function insertRecord(
  queries: Queries,
  { quadId, seq, record, arrivedAt, judged = null }: Storing,
): Promise<void> {
  await queries.write('records/insertRecord', {
    streamId: quadId,
    seq,
    id: record.id,
    jobId: record.jobId,
    step: record.step,
    kind: kindOf(record.body),
    personId: record.personId,
    deviceId: record.deviceId,
    shownAt: record.shownAt && toSqlTime(record.shownAt),
    doneAt: toSqlTime(record.doneAt),
    arrivedAt: toSqlTime(arrivedAt),
    basisSeq: record.basisSeq,
    planVersion: record.planVersion,
    how: record.how,
    replaces: record.replaces ?? null,
    body: JSON.stringify(record.body),
    sha256: contentHash(record),
    judged: judged && JSON.stringify(judged),
  });
}

function kindOf(body: Act | Note): string {
  return isAct(body) ? body.do : body.saw;
}

/**
 * Hash of what the client sent, whatever the order of its keys: tells a repeat from another record under the same id.
 */
export function contentHash(record: SentRecord): Buffer {
  return createHash('sha256').update(canonicalJson(record)).digest();
}
