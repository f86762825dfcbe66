/** Physical parts and stock follow what the log says: fitted, taken off, counted in. In the log's own transaction. */
import type { Fitted, QuadRecord } from '@junctor/core';
import { v7 } from 'uuid';
import type { Queries } from '../database/Database';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import { recordsAfter } from '../records/repository';

type Sent = Pick<QuadRecord, 'id' | 'personId' | 'doneAt' | 'body'>;

/** @throws {ApiError} 422 when a record takes from stock that is not there. */
export async function followParts(queries: Queries, quadId: string, { id, personId, doneAt, body }: Sent): Promise<void> {
  const at = toSqlTime(doneAt);
  if ('do' in body && body.do === 'fit' && body.fitted.part) {
    await queries.write('parts/placePart', { id: body.fitted.part, quadId });
  } else if ('do' in body && body.do === 'take off') {
    await takenOff(queries, quadId, body.slot, body.to, { id, at });
  } else if ('saw' in body && body.saw === 'kit') {
    for (const { stock, quantity } of body.takes) {
      if (!(await queries.row('stock/lockStock', { id: stock }))) throw new ApiError(422, 'stock.missing', 'No such line in stock', { path: 'body.takes' });
      await queries.write('stock/insertStockMove', { id: v7(), stockId: stock, recordId: id, personId, at, delta: -quantity, why: 'counted in for a job' });
      await queries.write('stock/moveStock', { id: stock, delta: -quantity });
    }
  }
}

/** A part that comes off goes back to the stores; one that nobody had entered is entered now. */
async function takenOff(queries: Queries, quadId: string, slot: string, to: string, { id, at }: { id: string; at: string }): Promise<void> {
  const fitted = await lastFitted(queries, quadId, slot);
  if (!fitted || to === 'customer') return;
  const condition = to === 'scrap' ? 'scrap' : 'doubtful';
  if (fitted.part) {
    await queries.write('parts/returnPart', { id: fitted.part, quadId, origin: 'off a quad', condition });
    return;
  }
  await queries.write('parts/insertPart', {
    id, modelId: fitted.model, revision: fitted.revision, serial: null, batch: null, ownerId: null, origin: 'off a quad', fromQuadId: quadId, condition, firmware: null, weightG: null, at,
  });
}

async function lastFitted(queries: Queries, quadId: string, slot: string): Promise<Fitted | null> {
  const fits = (await recordsAfter(queries, quadId, 0)).flatMap(({ body }) => ('do' in body && body.do === 'fit' && body.slot === slot ? [body.fitted] : []));
  return fits.at(-1) ?? null;
}
