/** Stock and offcuts: what there is, counted and moved; every move is kept. */
import type { StockLine } from '@junctor/core';
import { newStock, sentStock, stockMove } from '@junctor/core/schemas';
import { Router } from 'express';
import { fromJson, fromSqlTime, toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';
import { addLine, moveStock } from './repository';

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
      addLine(queries, line, {
        personId: personIn(response).personId,
        at,
        why: line.offcut ? 'put back' : 'new in stock',
      }),
    );
    response.status(201).json(line);
  });
  // A counted list: all of it or nothing. A line that is known is set to what was counted.
  router.post('/stock/counted', async (request, response) => {
    const { rows } = validated<{ rows: StockLine[] }>(sentStock, request.body);
    const at = toSqlTime(now().toISOString());
    const counted = { personId: personIn(response).personId, at, why: 'counted from a file' };
    await database.transaction(async (queries) => {
      for (const row of rows) {
        const known = row.offcut
          ? null
          : await queries.row<{ id: string; onHand: number }>('stock/findStockByKey', { key: row.key });
        if (!known) await addLine(queries, row, counted);
        else if (known.onHand !== row.onHand)
          await moveStock(queries, { stockId: known.id, delta: row.onHand - known.onHand, ...counted });
      }
    });
    response.json({ rows: rows.length });
  });
  router.post('/stock/:id/moves', async (request, response) => {
    const stockId = idFrom(request.params.id);
    const { id, delta, why } = validated<{ id: string; delta: number; why: string }>(stockMove, request.body);
    await database.transaction(async (queries) => {
      if (!(await queries.row('stock/lockStock', { id: stockId })))
        throw new ApiError(404, 'stock.missing', 'No such line in stock');
      // Sent again because the answer was lost: it has moved already.
      if (await queries.row('stock/findMove', { id })) return;
      await moveStock(queries, {
        id,
        stockId,
        delta,
        why,
        personId: personIn(response).personId,
        at: toSqlTime(now().toISOString()),
      });
    });
    response.status(204).end();
  });
  router.get('/stock/:id/moves', async (request, response) => {
    const moves = await database.rows<{ at: string }>('stock/listStockMoves', { stockId: idFrom(request.params.id) });
    response.json(moves.map((move) => ({ ...move, at: fromSqlTime(move.at) })));
  });
  return router;
}
