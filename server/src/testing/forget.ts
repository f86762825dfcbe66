/** A quad's log cut back to where it was, as the owner of the database alone can: many histories share a beginning. */
import mysql from 'mysql2/promise';
import { makeQuadLogs } from '../log/QuadLogs';
import type { TestShop } from './testShop';

export interface Beginning {
  quadId: string;
  jobId: string;
  seq: number;
  /** The plan as it was then, as the database holds it. */
  plan: string;
  planVersion: number;
}

/** Notes where a quad's log is now. */
export async function noteBeginning(
  { shop: { database } }: TestShop,
  { quadId, jobId }: Pick<Beginning, 'quadId' | 'jobId'>,
): Promise<Beginning> {
  const quad = await database.row<{ logSeq: number }>('quads/lockQuad', { id: quadId });
  const job = await database.row<{ plan: string; planVersion: number }>('jobs/lockJob', { id: jobId });
  return { quadId, jobId, seq: quad!.logSeq, plan: job!.plan, planVersion: job!.planVersion };
}

/** Everything that came after a beginning is gone. */
export async function backTo(shop: TestShop, { quadId, jobId, seq, plan, planVersion }: Beginning): Promise<void> {
  const owner = await mysql.createConnection({ uri: shop.ownerUrl, database: shop.databaseName });
  try {
    await owner.query('DELETE FROM record WHERE stream_id = ? AND seq > ?', [quadId, seq]);
    await owner.query('DELETE FROM plan_change WHERE job_id = ? AND version > ?', [jobId, planVersion]);
    await owner.query('UPDATE quad SET log_seq = ? WHERE id = ?', [seq, quadId]);
    await owner.query('UPDATE job SET plan = ?, plan_version = ? WHERE id = ?', [plan, planVersion, jobId]);
  } finally {
    await owner.end();
  }
  Object.assign(shop.shop.logs, makeQuadLogs(shop.shop.catalogue));
}
