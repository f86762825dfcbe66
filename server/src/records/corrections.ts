/** Who may correct what by what. */
import type { Act, Note } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { SentRecord } from '../log/repository';
import type { Person } from '../session/session';

interface Corrected {
  streamId: string;
  replaces: string | null;
  kind: string;
  body: string;
  role: Person['role'];
}

interface Arriving {
  queries: Queries;
  quadId: string;
  record: SentRecord;
  index: number;
}

/**
 * @throws {ApiError} 422 when the record to be corrected is not in this quad's log or is of another kind; 403 when a
 * lead recorded it and somebody else would correct it.
 */
export async function refuseCorrection(
  { queries, quadId, record: { replaces, body }, index }: Arriving,
  role: Person['role'],
): Promise<void> {
  const path = `records.${index}.replaces`;
  if (!replaces) {
    if ('saw' in body && body.saw === 'taken back')
      throw new ApiError(422, 'replaces.nothing', 'Say which record is taken back', { path });
    return;
  }
  let corrected = await queries.row<Corrected>('records/findCorrected', { id: replaces });
  if (corrected?.streamId !== quadId)
    throw new ApiError(422, 'replaces.nothing', 'The record to be corrected is not in this quad’s log', { path });
  if (corrected.role === 'lead' && role !== 'lead' && !goesOn(corrected, body))
    throw new ApiError(403, 'record.lead', 'A lead recorded that: a lead corrects it', { path });
  // What was taken back is put back as what it was.
  while (corrected.kind === 'taken back' && corrected.replaces)
    corrected = (await queries.row<Corrected>('records/findCorrected', { id: corrected.replaces }))!;
  const now = sortOf(body);
  const before = sortOf(fromJson<Act | Note>(corrected.body));
  if (now === 'taken back' || now === before) return;
  throw new ApiError(422, 'record.kind', `A correction stays what it corrects: “${before}”, not “${now}”`, { path });
}

/** A fault that is mended, a question that is answered: the matter goes on, nothing is corrected. */
function goesOn({ kind }: Corrected, body: Act | Note): boolean {
  return ['fault', 'symptom', 'open point'].includes(kind) && sortOf(body) === kind;
}

function sortOf(body: Act | Note): string {
  return 'do' in body ? body.do : body.saw;
}
