/**
 * Physical parts and stock follow what the log says: counted in, fitted, taken off, taken back. In the log's own
 * transaction, so that a record and what it moves are stored together or not at all.
 */
import type { Fitted, QuadRecord } from '@junctor/core';
import { v7 } from 'uuid';
import type { Queries } from '../database/Database';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { recordsAfter } from '../records/repository';

type Sent = Pick<QuadRecord, 'id' | 'personId' | 'doneAt' | 'body' | 'replaces'>;

/** @throws {ApiError} 422 when a record takes from stock that is not there. */
export async function followParts(queries: Queries, quadId: string, record: Sent): Promise<void> {
  const { body } = record;
  if (record.replaces) await undo(queries, quadId, record.replaces, record);
  if ('do' in body) {
    if (body.do === 'fit' && body.fitted.part) await queries.write('parts/placePart', { id: body.fitted.part, quadId });
    if (body.do === 'take off') await takenOff(queries, quadId, body.slot, body.to, record);
  } else if (body.saw === 'kit') {
    for (const part of body.parts) await queries.write('parts/placePart', { id: part, quadId });
    for (const { stock, quantity } of body.takes) await move(queries, record, stock, -quantity, 'counted in for a job');
  } else if (body.saw === 'signature' && body.part) {
    const note = { is: 'signature', readings: body.readings };
    await queries.write('parts/insertPartNote', {
      id: v7(),
      partId: body.part,
      personId: record.personId,
      at: toSqlTime(record.doneAt),
      body: JSON.stringify(note),
    });
  }
}

/** What a corrected record had moved goes back; the correction then moves its own. */
async function undo(queries: Queries, quadId: string, replaced: string, record: Sent): Promise<void> {
  const moves = await queries.rows<{ stockId: string; delta: number }>('stock/listMovesOfRecord', {
    recordId: replaced,
  });
  for (const { stockId, delta } of moves) await move(queries, { ...record, id: null }, stockId, -delta, 'taken back');
  const before = (await recordsAfter(queries, quadId, 0)).find(({ id }) => id === replaced)?.body;
  const parts = !before
    ? []
    : 'do' in before
      ? before.do === 'fit' && before.fitted.part
        ? [before.fitted.part]
        : []
      : before.saw === 'kit'
        ? before.parts
        : [];
  for (const id of parts) await queries.write('parts/placePart', { id, quadId: null });
}

async function move(
  queries: Queries,
  { id, personId, doneAt }: Pick<Sent, 'personId' | 'doneAt'> & { id: string | null },
  stockId: string,
  delta: number,
  why: string,
): Promise<void> {
  if (!(await queries.row('stock/lockStock', { id: stockId })))
    throw new ApiError(422, 'stock.missing', 'No such line in stock', { path: 'body.takes' });
  await queries.write('stock/insertStockMove', {
    id: v7(),
    stockId,
    recordId: id,
    personId,
    at: toSqlTime(doneAt),
    delta,
    why,
  });
  await queries.write('stock/moveStock', { id: stockId, delta });
}

/** A part that comes off goes back to the stores; one that nobody had entered is entered now. */
async function takenOff(
  queries: Queries,
  quadId: string,
  slot: string,
  to: string,
  { id, doneAt }: Sent,
): Promise<void> {
  const fitted = await lastFitted(queries, quadId, slot);
  if (!fitted || to === 'customer') return;
  const condition = to === 'scrap' ? 'scrap' : 'doubtful';
  if (fitted.part) {
    await queries.write('parts/returnPart', { id: fitted.part, quadId, origin: 'off a quad', condition });
    return;
  }
  await queries.write('parts/insertPart', {
    id,
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
    at: toSqlTime(doneAt),
  });
}

async function lastFitted(queries: Queries, quadId: string, slot: string): Promise<Fitted | null> {
  const fits = (await recordsAfter(queries, quadId, 0)).flatMap(({ body }) =>
    'do' in body && body.do === 'fit' && body.slot === slot ? [body.fitted] : [],
  );
  return fits.at(-1) ?? null;
}
