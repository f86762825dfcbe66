/** Where a plan can come from, on a real MariaDB: no part at all, another aircraft, a template of the shop. */
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, openJob, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
});
afterAll(() => shop.stop());

/** A job on a quad of its own. */
async function open(plan: object) {
  const { body: customer } = await lead.post('/customers', { id: v7(), name: `Weir ${v7()}`, contact: '' });
  const { body: quad } = await lead.post('/quads', { id: v7(), customerId: customer.id, name: 'weir quad' });
  return lead.post('/jobs', {
    ...{ id: v7(), quadId: quad.id, kind: 'new', title: 'new build', dueOn: null, bench: 1, plan },
    intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
  });
}

interface Planned {
  plan: { target: { slots: object; wires: object }; links: unknown[] };
}
const planned = ({ body }: { body: unknown }) => (body as Planned).plan;
const list = async () =>
  (await lead.get('/templates')).body as unknown as { id: string; name: string; retired: boolean }[];

describe('a plan', () => {
  it('may begin with no part', async () => {
    const made = await open({ parts: true });
    expect([made.status, planned(made).target.slots]).toEqual([201, {}]);
    expect((await open({ parts: false })).status).toBe(422);
  });

  it('comes from another aircraft only where its book says something', async () => {
    const { quadId } = await openJob(lead);
    const empty = await open({ pattern: quadId });
    expect([empty.status, empty.body.code]).toEqual([422, 'book.empty']);
  });

  it('is kept as a template, found, opened from, and retired like a model', async () => {
    const { jobId } = await openJob(lead);
    const template = { id: v7(), name: 'Weir patrol, as we build it' };
    expect((await lead.post(`/jobs/${jobId}/templates`, template)).status).toBe(201);
    expect(await list()).toContainEqual(expect.objectContaining({ id: template.id, retired: false }));
    expect((await lead.post(`/jobs/${jobId}/templates`, { ...template, id: v7() })).body.code).toBe('exists.already');
    const made = await open({ template: template.id });
    const first = await lead.get(`/jobs/${jobId}`);
    expect(planned(made).target.wires).toEqual(planned(first).target.wires);
    expect((await lead.post('/templates/retire', { id: template.id, retired: true })).status).toBe(204);
    expect(await list()).toContainEqual(expect.objectContaining({ id: template.id, retired: true }));
    const gone = await open({ template: template.id });
    expect([gone.status, gone.body.code]).toEqual([422, 'template.retired']);
    expect((await lead.post('/templates/retire', { id: template.id, retired: false })).status).toBe(204);
    expect((await open({ template: template.id })).status).toBe(201);
    expect((await open({ template: 'no-such' })).body.code).toBe('template.unknown');
    expect((await lead.post('/templates/retire', { id: 'no-such', retired: true })).status).toBe(404);
  });
});
