/** The shop's own weight classes: usual ones at first, a lead's list kept in rising order, a stale one refused. */
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;
const at = '/shop/weight-classes';

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
}, 60_000);
afterAll(() => shop.stop());

it('are the usual ones until a lead says others, and no list is lost to another', async () => {
  const first = (await lead.get(at)).body;
  expect(first.version).toBe(0);
  const classes = [
    { name: 'heavy', upToG: 5000 },
    { name: 'light', upToG: 300 },
  ];
  expect((await lead.post(at, { version: 0, classes })).status).toBe(200);
  expect((await lead.get(at)).body).toEqual({ version: 1, classes: [classes[1], classes[0]] });
  const stale = await lead.post(at, { version: 0, classes: [] });
  expect([stale.status, stale.body.code]).toEqual([409, 'classes.changed']);
  expect((await lead.get(at)).body.version).toBe(1);
});

it('are refused with two of one name, or without grams', async () => {
  const { version } = (await lead.get(at)).body;
  const twice = [
    { name: 'light', upToG: 300 },
    { name: 'light', upToG: 400 },
  ];
  expect((await lead.post(at, { version, classes: twice })).status).toBe(422);
  const none = await lead.post(at, { version, classes: [{ name: 'light', upToG: 0 }] });
  expect([none.status, none.body.path]).toEqual([422, 'classes.0.upToG']);
});
