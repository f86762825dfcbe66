/**
 * Physical parts and stock follow what the log says: counted in, fitted, taken off, taken back. In the log's own
 * transaction, so that a record and what it moves are stored together or not at all.
 */
import type { Act, Entry, LogState, Note, QuadRecord } from '@junctor/core';
import { findEntry, offcutLine } from '@junctor/core';
import { v7 } from 'uuid';
import type { Queries } from '../database/Database';
import { fromJson, toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { StockMove } from '../stock/repository';
import { addLine, moveStock } from '../stock/repository';

type Sent = Pick<QuadRecord, 'id' | 'personId' | 'doneAt' | 'body' | 'replaces'>;

/** Where the records go, and what the quad's log amounted to before them. */
interface Quad {
  queries: Queries;
  quadId: string;
  log: LogState;
}

/** @throws {ApiError} 422 when a record takes from stock that is not there. */
export async function followParts(quad: Quad, record: Sent): Promise<void> {
  const { queries, quadId, log } = quad;
  const { body } = record;
  const replaced = record.replaces ? findEntry(log, record.replaces) : null;
  if (replaced) await undo(quad, replaced, record);
  if ('do' in body) {
    if (body.do === 'fit' && body.fitted.part) await queries.write('parts/placePart', { id: body.fitted.part, quadId });
    // A correction stands where what it corrects stood.
    if (body.do === 'take off') await takenOff({ ...quad, log: replaced?.before ?? log }, body, record);
  } else if (body.saw === 'kit') {
    for (const part of body.parts) await queries.write('parts/placePart', { id: part, quadId });
    for (const { stock, quantity } of body.takes) {
      await move(queries, record, { stockId: stock, delta: -quantity, why: 'counted in for a job' });
    }
  } else if (body.saw === 'cut') {
    await cutUp(queries, body, record);
  } else if (body.saw === 'goes') {
    await goes(quad, body, record);
  } else if (body.saw === 'signature' && body.part) {
    await note(queries, body.part, record, { is: 'signature', readings: body.readings });
  }
}

/** What a corrected record had moved goes back; the correction then moves its own. */
async function undo(
  { queries, quadId }: Quad,
  { entry, before }: { entry: Entry; before: LogState },
  record: Sent,
): Promise<void> {
  const { id: replaced, body } = entry.record;
  const moves = await queries.rows<{ stockId: string; delta: number }>('stock/listMovesOfRecord', {
    recordId: replaced,
  });
  for (const { stockId, delta } of moves) {
    await move(queries, { ...record, id: null }, { stockId, delta: -delta, why: 'taken back' });
  }
  if (!('do' in body)) {
    if (body.saw === 'kit') for (const id of body.parts) await queries.write('parts/placePart', { id, quadId: null });
  } else if (body.do === 'fit') {
    if (body.fitted.part) await queries.write('parts/placePart', { id: body.fitted.part, quadId: null });
  } else if (body.do === 'take off' && body.to !== 'customer') {
    const fitted = before.asBuilt.build.slots[body.slot];
    if (fitted) await putBack({ queries, quadId }, fitted.part, replaced);
  }
}

async function move(
  queries: Queries,
  { id, personId, doneAt }: Pick<Sent, 'personId' | 'doneAt'> & { id: string | null },
  { stockId, delta, why }: Pick<StockMove, 'stockId' | 'delta' | 'why'>,
): Promise<void> {
  if (!(await queries.row('stock/lockStock', { id: stockId }))) {
    throw new ApiError(422, 'stock.missing', 'No such line in stock', { path: 'body.takes' });
  }
  await moveStock(queries, { stockId, delta, why, personId, at: toSqlTime(doneAt), recordId: id });
}

/** Offcuts go, what stays of them is put back as new ones where they lay, and wire that nobody needed goes back. */
async function cutUp(queries: Queries, { from, back }: Extract<Note, { saw: 'cut' }>, record: Sent): Promise<void> {
  for (const { stock, left } of from) {
    await move(queries, record, { stockId: stock, delta: -1, why: 'cut up for a job' });
    const of = left && (await queries.row<{ place: string; doc: string }>('stock/findStock', { id: stock }));
    if (!of) continue;
    const { awg, colour } = fromJson<{ awg: number; colour: string }>(of.doc);
    const line = offcutLine({ ...left, awg, colour }, of.place);
    const { id: recordId, personId, doneAt } = record;
    await addLine(queries, line, { why: 'left over from a cut', personId, at: toSqlTime(doneAt), recordId });
  }
  for (const { stock, mm } of back) await move(queries, record, { stockId: stock, delta: mm, why: 'not needed' });
}

/** What was known of a part before it came off. */
interface BeforeOff {
  origin: string;
  condition: string;
  fromQuadId: string | null;
}

/** A part that comes off goes back to the stores; one that nobody had entered is entered now, under the record's id. */
async function takenOff(
  { queries, quadId, log }: Quad,
  { slot, to }: Extract<Act, { do: 'take off' }>,
  record: Sent,
): Promise<void> {
  const fitted = log.asBuilt.build.slots[slot];
  if (!fitted || to === 'customer') return;
  const condition = to === 'scrap' ? 'scrap' : 'doubtful';
  const before = fitted.part && (await queries.row<BeforeOff>('parts/findOrigin', { id: fitted.part }));
  if (fitted.part && before) {
    await note(queries, fitted.part, record, { is: 'taken off', record: record.id, before });
    await queries.write('parts/returnPart', { id: fitted.part, quadId, origin: 'off a quad', condition });
    return;
  }
  await queries.write('parts/insertPart', {
    id: record.id,
    modelId: fitted.model,
    revision: fitted.revision,
    serial: null,
    batch: null,
    ownerId: null,
    origin: 'off a quad',
    fromQuadId: quadId,
    condition,
    firmware: null,
    weightG: null,
    at: toSqlTime(record.doneAt),
  });
}

/** Where a part that came off goes: to its quad's customer, away, or it stays in the stores as it is. */
async function goes(
  { queries, quadId, log }: Quad,
  { act, to }: Extract<Note, { saw: 'goes' }>,
  record: Sent,
): Promise<void> {
  const off = findEntry(log, act);
  const body = off?.entry.record.body;
  if (!off || !body || !('do' in body) || body.do !== 'take off') return;
  const id = off.before.asBuilt.build.slots[body.slot]?.part ?? act;
  if (!(await queries.row('parts/findOrigin', { id }))) return;
  if (to === 'scrap') await queries.write('parts/setCondition', { id, condition: 'scrap' });
  if (to === 'customer') await queries.write('parts/giveBack', { id, quadId });
  await note(queries, id, record, { is: 'goes', to });
}

/** A part that did not come off after all is on its quad again, and known for what it was before. */
async function putBack(
  { queries, quadId }: Pick<Quad, 'queries' | 'quadId'>,
  part: string | null,
  takeOff: string,
): Promise<void> {
  // One that was entered when it came off has the record's id.
  const id = part ?? takeOff;
  const said = await queries.row<{ body: string }>('parts/findTakenOff', { partId: id, recordId: takeOff });
  if (said) {
    const { before } = fromJson<{ before: BeforeOff }>(said.body);
    await queries.write('parts/restorePart', { id, ...before });
  }
  await queries.write('parts/placePart', { id, quadId });
}

async function note(
  queries: Queries,
  partId: string,
  { personId, doneAt }: Pick<Sent, 'personId' | 'doneAt'>,
  body: object,
): Promise<void> {
  await queries.write('parts/insertPartNote', {
    id: v7(),
    partId,
    personId,
    at: toSqlTime(doneAt),
    body: JSON.stringify(body),
  });
}
