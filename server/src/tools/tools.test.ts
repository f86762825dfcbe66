/** Meters of the shop: entered by a lead, taken up by anybody; the one taken up last comes first. */
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;
const meters = async () =>
  ((await lead.get('/tools')).body as unknown as { id: string; kind: string; name: string }[]).filter(
    ({ kind }) => kind === 'meter',
  );
const card = {
  limitV: 1.5,
  limitA: 0.001,
  seriesOhms: 1500,
  beepBelowOhms: 40,
  stopsAboveOhms: 40,
  answerMs: 100,
  shortestToneMs: 60,
  beepsOnReverse: true,
  toneHz: null,
  spread: 0.1,
  modes: { diode: { limitV: 2, limitA: 0.001, seriesOhms: null, countsTo: 2 } },
};

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
}, 60_000);
afterAll(() => shop.stop());

it('are kept with their card, once under a name, and refused where they cannot be', async () => {
  const id = v7();
  expect((await lead.post('/tools', { id, name: 'Drawer meter', card })).status).toBe(201);
  const twice = await lead.post('/tools', { id: v7(), name: 'Drawer meter', card });
  expect([twice.status, twice.body.code]).toEqual([409, 'tool.exists']);
  const odd = await lead.post('/tools', { id: v7(), name: 'Odd', card: { ...card, stopsAboveOhms: 20 } });
  expect([odd.status, odd.body.path]).toEqual([422, 'card.stopsAboveOhms']);
  expect((await meters()).map(({ name }) => name)).toContain('Drawer meter');
  expect((await meters())[0]!.id).not.toBe(id);
});

it('are taken up: the last one is the one at the bench', async () => {
  const before = await meters();
  const last = before.at(-1)!;
  expect((await lead.post(`/tools/${last.id}/take-up`, {})).status).toBe(204);
  expect((await meters()).map(({ id }) => id)).toEqual([last.id, ...before.slice(0, -1).map(({ id }) => id)]);
  expect((await lead.post(`/tools/${v7()}/take-up`, {})).status).toBe(404);
});
