/**
 * The Floor on a real MariaDB: its rows stand on log and plan, are made again when they are behind, and one broken job
 * is one line.
 */
import mysql from 'mysql2/promise';
import type { FloorLine } from '@junctor/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, fitEsc, openJob, sent, startTestShop } from '../testing';
import { rebuildJobViews } from '../jobs/jobView';
import { makeQuadLogs } from '../log/QuadLogs';
import { makeFloor } from './routes';

let shop: TestShop;
let lead: Client;
let owner: mysql.Connection;
beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  owner = await mysql.createConnection({ uri: shop.ownerUrl, database: shop.databaseName });
});
afterAll(async () => {
  await owner.end();
  await shop.stop();
});

const lines = async () => (await lead.get('/floor')).body as unknown as FloorLine[];
const lineOf = async (jobId: string) => (await lines()).find((line) => line.jobId === jobId)!;

it('hangs a job as soon as it is open, and moves with each record and each change of the plan', async () => {
  const { quadId, jobId } = await openJob(lead);
  const fresh = await lineOf(jobId);
  expect([fresh.bodyFitted, fresh.done, fresh.motors.length]).toEqual([false, 0, 4]);
  expect(fresh.next).toMatch(/^Put /);
  await lead.post(`/quads/${quadId}/records`, { records: [sent(lead, jobId, fitEsc)] });
  expect((await lineOf(jobId)).bodyFitted).toBe(true);
  const changes = [{ path: 'schools/solder alloy', before: null, after: 'lead-free' }];
  expect((await lead.post(`/jobs/${jobId}/plan-changes`, { version: 1, changes })).status).toBe(200);
  const [[row]] = await owner.query<mysql.RowDataPacket[]>('SELECT seq, plan_version FROM job_view WHERE job_id = ?', [
    jobId,
  ]);
  expect([row!.seq, row!.plan_version]).toEqual([1, 2]);
});

it('makes a row again that stands on an older core, a lost one too, and gives the same floor', async () => {
  const { jobId } = await openJob(lead);
  const before = await lines();
  await owner.query("UPDATE job_view SET core_version = 'older', doc = '{}' WHERE job_id = ?", [jobId]);
  expect(await lines()).toEqual(before);
  await owner.query('DELETE FROM job_view WHERE job_id = ?', [jobId]);
  expect(await lines()).toEqual(before);
  expect(await rebuildJobViews(shop.shop, true)).toBe(before.length);
  expect(await lines()).toEqual(before);
});

it('answers the same reply while nothing has moved, and another when something has', async () => {
  const { quadId, jobId } = await openJob(lead);
  const floor = makeFloor(shop.shop);
  const first = await floor.now();
  expect(await floor.now()).toBe(first);
  await lead.post(`/quads/${quadId}/records`, { records: [sent(lead, jobId, fitEsc)] });
  const second = await floor.now();
  expect([second.tag === first.tag, second.body === first.body]).toEqual([false, false]);
});

it('says of a job that cannot be worked out that it cannot, and shows the others', async () => {
  const [poor, good] = [await openJob(lead), await openJob(lead)];
  await owner.query(
    "UPDATE job SET plan = JSON_SET(plan, '$.target.slots.FC.model', 'gone'), plan_version = 2 WHERE id = ?",
    [poor.jobId],
  );
  expect((await lineOf(poor.jobId)).against[0]).toMatch(/^This job cannot be worked out: no part model gone/);
  expect((await lineOf(good.jobId)).next).toMatch(/^Put /);
  const reply = await lead.post(`/quads/${poor.quadId}/records`, { records: [sent(lead, poor.jobId, fitEsc)] });
  expect(reply.status).toBe(200);
});

it('says of a log that cannot be read that it cannot, and shows the others', async () => {
  const [poor, good] = [await openJob(lead), await openJob(lead)];
  await lead.post(`/quads/${poor.quadId}/records`, { records: [sent(lead, poor.jobId, fitEsc)] });
  await owner.query("UPDATE record SET body = JSON_SET(body, '$.fitted.model', 'gone') WHERE job_id = ?", [poor.jobId]);
  await owner.query("UPDATE job_view SET core_version = 'older'");
  const floor = makeFloor({ ...shop.shop, logs: makeQuadLogs(shop.shop.catalogue) });
  const hung = JSON.parse((await floor.now()).body) as FloorLine[];
  const of = (id: string) => hung.find(({ jobId }) => jobId === id)!;
  expect(of(poor.jobId).against[0]).toMatch(/cannot be worked out/);
  expect(of(good.jobId).next).toMatch(/^Put /);
});
