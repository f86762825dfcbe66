/** Stock lines and what moves them: what is on hand is the sum of its moves, and every move is kept. */
import type { StockLine } from '@junctor/core';
import { v7 } from 'uuid';
import type { Queries } from '../database/Database';

export interface StockMove {
  stockId: string;
  delta: number;
  why: string;
  personId: string | null;
  /** As the database writes times. */
  at: string;
  /** Of the move; a new one where nobody sent it. */
  id?: string;
  /** The record that moved it, if one did. */
  recordId?: string | null;
}

/** Moves a line; a move of nothing is none. */
export async function moveStock(queries: Queries, { id = v7(), recordId = null, ...move }: StockMove): Promise<void> {
  if (move.delta === 0) return;
  await queries.write('stock/insertStockMove', { id, recordId, ...move });
  await queries.write('stock/moveStock', { id: move.stockId, delta: move.delta });
}

/** A new line with what is on hand as its first move. */
export async function addLine(
  queries: Queries,
  { id, key, name, unit, offcut, place, doc, onHand }: StockLine,
  move: Pick<StockMove, 'why' | 'personId' | 'at' | 'recordId'>,
): Promise<void> {
  const line = { id, key, name, unit, offcut: offcut ? 1 : 0, place, doc: JSON.stringify(doc) };
  await queries.write('stock/insertStock', line);
  await moveStock(queries, { stockId: id, delta: onHand, ...move });
}
