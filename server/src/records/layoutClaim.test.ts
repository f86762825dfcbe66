/** A layout that is signed is judged again by the server: what does not fit must have been said, by a lead. */
import type { JobSheet, LayoutNote, PlanChange, Pose } from '@junctor/core';
import { assemble, bestLay, keepingChanges, layoutNote, layoutOf, makeCatalogue, ofLayout } from '@junctor/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, openJob, sent, startTestShop, technicianOf } from '../testing';
import { v7 } from 'uuid';

let shop: TestShop;
let lead: Client;
let technician: Client;
let job: { quadId: string; jobId: string };

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  technician = await technicianOf(lead, shop.url);
  job = await openJob(lead);
});
afterAll(() => shop.stop());

const sheet = async () => (await lead.get(`/jobs/${job.jobId}`)).body as unknown as JobSheet;
const layout = async () => {
  const { plan } = await sheet();
  const assembly = assemble(plan.target, makeCatalogue(shop.shop.catalogue.models));
  return { plan, ...layoutOf(assembly, bestLay(assembly).poses)! };
};
const change = async (changes: readonly PlanChange[]) => {
  const { plan } = await sheet();
  const reply = await lead.post(`/jobs/${job.jobId}/plan-changes`, { version: plan.version, changes });
  expect(reply.status).toBe(200);
};
const sign = (by: Client, note: LayoutNote) =>
  by.post(`/quads/${job.quadId}/records`, { records: [sent(by, job.jobId, note)] });

describe('a signed layout', () => {
  it('is taken where everything holds', async () => {
    await change(keepingChanges((await layout()).laid));
    const { plan, margins } = await layout();
    expect((await sign(technician, layoutNote(plan.target, margins))).status).toBe(200);
  });

  it('is refused when a margin does not hold that nobody named, and waits for a lead when one is named', async () => {
    const { plan } = await sheet();
    const fitted = plan.target.slots.FC!;
    const pose: Pose = { ...fitted.pose!, yawDeg: fitted.pose!.yawDeg + 90 };
    await change([{ path: 'slots/FC', before: fitted, after: { ...fitted, pose } }]);
    const turned = await layout();
    const honest = layoutNote(turned.plan.target, turned.margins, { reason: 'tried dry' });
    expect(honest.no.length).toBeGreaterThan(0);
    const silent = await sign(lead, { ...honest, no: [], reason: '' });
    expect(silent).toMatchObject({ status: 422, body: { code: 'layout.otherwise' } });
    expect(await sign(technician, honest)).toMatchObject({ status: 422, body: { code: 'layout.refused' } });
    expect(await sign(lead, { ...honest, reason: '' })).toMatchObject({ status: 422 });
    expect((await sign(lead, honest)).status).toBe(200);
  });
});

describe('a layout in a frame of which little is known', () => {
  it('waits for a picture of it, and for a newer one when it lies otherwise', async () => {
    const known = shop.shop.catalogue.models.find(({ id }) => id === 'coppice-frame-8')!;
    const { places: _places, ways: _ways, ...frame } = known.frame!;
    const model = { ...known, id: 'plain-frame', frame };
    const file = JSON.stringify({ format: 'junctor-catalogue', version: 1, models: [model] });
    expect((await lead.bytes('POST', '/catalogue/import', 'application/octet-stream', file)).status).toBe(200);
    const { plan } = await sheet();
    const fitted = plan.target.slots.FRAME!;
    await change([{ path: 'slots/FRAME', before: fitted, after: { ...fitted, model: 'plain-frame' } }]);
    const now = await layout();
    const unknown = now.margins.filter(({ verdict }) => verdict === 'not known');
    expect(unknown.map(({ what }) => what)).toContain('where RX goes');
    const reason = 'tried dry';
    const unseen = await sign(lead, layoutNote(now.plan.target, now.margins, { reason }));
    expect(unseen).toMatchObject({ status: 422, body: { code: 'layout.picture' } });
    const picture = sent(lead, job.jobId, { saw: 'picture', of: ofLayout, blob: v7() });
    expect((await lead.post(`/quads/${job.quadId}/records`, { records: [picture] })).status).toBe(200);
    const seen = layoutNote(now.plan.target, now.margins, { reason, pictured: picture.id });
    expect((await sign(lead, seen)).status).toBe(200);
    // Signed in another frame meanwhile: what the picture shows is gone.
    const other = { ...fitted, model: 'coppice-frame-9' };
    await change([{ path: 'slots/FRAME', before: { ...fitted, model: 'plain-frame' }, after: other }]);
    const between = await layout();
    const signed = layoutNote(between.plan.target, between.margins, { reason, pictured: picture.id });
    expect((await sign(lead, signed)).status).toBe(200);
    await change([{ path: 'slots/FRAME', before: other, after: { ...fitted, model: 'plain-frame' } }]);
    expect(await sign(lead, seen)).toMatchObject({ status: 422, body: { code: 'layout.picture' } });
  });
});
