/** The touches of a plan on a real server: there at once where they ship, else worked out, kept, and waited for. */
import type { JobSheet, TouchesReply } from '@junctor/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop, Worked } from '../testing';
import { askPermit, firstLead, openJob, startTestShop } from '../testing';
import { makeTouchLists } from './TouchLists';

let shop: TestShop;
let lead: Client;
let worked: Worked;
const path = () => `/jobs/${worked.jobId}`;
const touches = async () => (await lead.get(`${path()}/touches`)).body as unknown as TouchesReply;
const plan = async () => ((await lead.get(path())).body as unknown as JobSheet).plan;
const change = async (over: object) => {
  const { version, target } = await plan();
  const before = target.wires.W1!;
  const changes = [{ path: 'wires/W1', before, after: { ...before, ...over } }];
  expect((await lead.post(`${path()}/plan-changes`, { version, changes })).status).toBe(200);
};

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  worked = { shop, client: lead, ...(await openJob(lead)) };
}, 60_000);
afterAll(() => shop.stop());

describe('the touches of a job', () => {
  it('are there at once for a plan that ships, whatever its wires look like', async () => {
    expect((await touches()).list!.touches.length).toBeGreaterThan(40);
    await change({ colour: 'violet' });
    expect((await touches()).list!.touches.length).toBeGreaterThan(40);
  });

  it('are ended for a plan that has changed since, and begun for the newest', async () => {
    await change({ awg: 24 });
    expect((await touches()).list).toBeNull();
    await change({ awg: 26 });
    expect((await touches()).list).toBeNull();
    const newest = await plan();
    await expect
      .poll(() => shop.shop.lists.progress(newest), { timeout: 60_000 })
      .toMatchObject({
        says: expect.stringMatching(/every fault|quickest/) as unknown,
      });
  }, 120_000);

  it('are worked out for another wiring; until then no power is open, afterwards they are kept', async () => {
    await change({ awg: 22, lengthMm: 240 });
    expect((await touches()).list).toBeNull();
    const missing = ((await askPermit(worked)).body.context as { missing: string[] }).missing;
    expect(missing.join('\n')).toContain('Wait for the list of touches');
    await expect.poll(async () => (await touches()).list, { timeout: 170_000, interval: 500 }).not.toBeNull();
    const wanted = await plan();
    const anew = makeTouchLists({ ...shop.shop, now: () => new Date() });
    const kept = await anew.find(shop.shop.database, wanted);
    expect(kept).toEqual((await touches()).list);
    expect(kept!.touches.map(({ across }) => across).filter((across) => across !== null)).toHaveLength(2);
  }, 180_000);
});
