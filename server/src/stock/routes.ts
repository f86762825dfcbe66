/** Stock and offcuts: what there is, counted and moved; every move is kept. */
import type { StockLine } from '@junctor/core';
import { newStock, sentStock, stockMove } from '@junctor/core/schemas';
import { Router } from 'express';
import { v7 } from 'uuid';
import type { Queries } from '../database/Database';
import { fromJson, fromSqlTime, toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';

interface StockRow extends Omit<StockLine, 'doc' | 'offcut'> {
  doc: string;
  offcut: number;
}

export function stockRoutes({ database, now }: Deps): Router {
  const router = Router();
  router.get('/stock', async (_request, response) => {
    const rows = await database.rows<StockRow>('stock/listStock');
    response.json(
      rows.map(({ doc, offcut, ...row }): StockLine => ({ ...row, offcut: offcut === 1, doc: fromJson(doc) })),
    );
  });
  router.post('/stock', async (request, response) => {
    const line = validated<StockLine>(newStock, request.body);
    const at = toSqlTime(now().toISOString());
    await database.transaction((queries) =>
      addLine(queries, line, personIn(response).personId, at, line.offcut ? 'put back' : 'new in stock'),
    );
    response.status(201).json(line);
  });
  // A counted list: all of it or nothing. A line that is known is set to what was counted.
  router.post('/stock/counted', async (request, response) => {
    const { rows } = validated<{ rows: StockLine[] }>(sentStock, request.body);
    const { personId } = personIn(response);
    const at = toSqlTime(now().toISOString());
    await database.transaction(async (queries) => {
      for (const row of rows) {
        const known = row.offcut
          ? null
          : await queries.row<{ id: string; onHand: number }>('stock/findStockByKey', { key: row.key });
        if (!known) await addLine(queries, row, personId, at, 'counted from a file');
        else if (known.onHand !== row.onHand)
          await move(queries, known.id, row.onHand - known.onHand, personId, at, 'counted from a file');
      }
    });
    response.json({ rows: rows.length });
  });
  router.post('/stock/:id/moves', async (request, response) => {
    const stockId = idFrom(request.params.id);
    const { delta, why } = validated<{ id: string; delta: number; why: string }>(stockMove, request.body);
    await database.transaction(async (queries) => {
      if (!(await queries.row('stock/lockStock', { id: stockId })))
        throw new ApiError(404, 'stock.missing', 'No such line in stock');
      await move(queries, stockId, delta, personIn(response).personId, toSqlTime(now().toISOString()), why);
    });
    response.status(204).end();
  });
  router.get('/stock/:id/moves', async (request, response) => {
    const moves = await database.rows<{ at: string }>('stock/listStockMoves', { stockId: idFrom(request.params.id) });
    response.json(moves.map((one) => ({ ...one, at: fromSqlTime(one.at) })));
  });
  return router;
}

export async function addLine(
  queries: Queries,
  { id, key, name, unit, offcut, place, doc, onHand }: StockLine,
  personId: string | null,
  at: string,
  why: string,
): Promise<void> {
  await queries.write('stock/insertStock', {
    id,
    key,
    name,
    unit,
    offcut: offcut ? 1 : 0,
    place,
    doc: JSON.stringify(doc),
  });
  await move(queries, id, onHand, personId, at, why);
}

async function move(
  queries: Queries,
  stockId: string,
  delta: number,
  personId: string | null,
  at: string,
  why: string,
): Promise<void> {
  if (delta === 0) return;
  await queries.write('stock/insertStockMove', { id: v7(), stockId, recordId: null, personId, at, delta, why });
  await queries.write('stock/moveStock', { id: stockId, delta });
}
