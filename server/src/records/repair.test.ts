/** A repair on a real MariaDB: opened from the quad's book, its faults closed by records only, its parts followed. */
import type { JobSheet, QuadRecord } from '@junctor/core';
import { deriveJob, fold, makeCatalogue } from '@junctor/core';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, newPart, openJob, sent, startTestShop, technicianOf, workUntil } from '../testing';

let shop: TestShop;
let lead: Client;
let quadId: string;
const post = (by: Client, ...records: object[]) => by.post(`/quads/${quadId}/records`, { records });
const log = async () => (await lead.get(`/quads/${quadId}/records`)).body as unknown as QuadRecord[];
const open = (kind: string, plan: object) =>
  lead.post('/jobs', {
    id: v7(),
    quadId,
    kind,
    title: kind,
    dueOn: null,
    bench: 1,
    intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
    plan,
  });

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
});
afterAll(() => shop.stop());

const worked = (jobId: string) => ({ shop, client: lead, quadId, jobId });

describe('a repair opened from the book', () => {
  let jobId: string;
  it('is not to be had while the book is empty, and says what to do instead', async () => {
    const made = await openJob(lead);
    ({ quadId } = made);
    const other = v7();
    const [first] = (await lead.get('/quads?q=')).body as unknown as { customerId: string }[];
    await lead.post('/quads', { id: other, customerId: first!.customerId, name: 'Empty' });
    const reply = await lead.post('/jobs', {
      id: v7(),
      quadId: other,
      kind: 'repair',
      title: 'repair',
      dueOn: null,
      bench: 1,
      intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
      plan: { book: true },
    });
    expect([reply.status, reply.body.code]).toEqual([422, 'book.empty']);
    await workUntil(worked(made.jobId), null);
    expect((await lead.post(`/jobs/${made.jobId}/close`, {})).status).toBe(204);
  }, 60_000);

  it('starts from what is in it, and counts nothing that was proved before', async () => {
    const reply = await open('repair', { book: true });
    expect(reply.status, JSON.stringify(reply.body)).toBe(201);
    const sheet = reply.body as unknown as JobSheet;
    jobId = sheet.id;
    const catalogue = makeCatalogue(shop.shop.catalogue.models);
    const state = deriveJob({ jobId, plan: sheet.plan, log: fold(await log(), catalogue), catalogue, list: null });
    expect(state.steps.filter(({ verb }) => ['fit', 'land', 'take', 'free'].includes(verb))).toEqual([]);
    expect(state.gates.filter((gate) => gate.state === 'passed')).toEqual([]);
    expect(state.current?.id).toBe('say:hot iron');
  });

  it('closes no fault by a sentence', async () => {
    const fault = {
      symptom: 'no tones since a crash',
      site: { slot: 'ESC' },
      cause: '',
      partsReplaced: [],
      done: 'looked at it for a while',
      minutes: 5,
      costMinor: 0,
      state: 'found',
    };
    const found = sent(lead, jobId, { saw: 'fault', fault });
    expect((await post(lead, found)).status).toBe(200);
    const claim = (by: Client, over: object) =>
      post(by, sent(by, jobId, { saw: 'fault', fault: { ...fault, ...over } }, { replaces: found.id }));
    expect((await claim(lead, { state: 'mended' })).body.code).toBe('fault.unmended');
    expect((await claim(lead, { state: 'mended', mendedBy: [v7()] })).body.code).toBe('fault.unmended');
    expect((await claim(lead, { state: 'mended', mendedBy: [found.id] })).body.code).toBe('fault.unmended');
    expect((await claim(lead, { state: 'accepted' })).body.code).toBe('fault.reason');
    const before = (await log()).find(({ body }) => 'do' in body)!;
    expect((await claim(lead, { state: 'mended', mendedBy: [before.id] })).body.code).toBe('fault.unmended');
    const reheat = sent(lead, jobId, { do: 'reheat', wire: 'M1-A', end: 1, dwellS: null });
    expect((await post(lead, reheat)).status).toBe(200);
    expect((await claim(lead, { state: 'proved', mendedBy: [reheat.id] })).body.code).toBe('fault.unproved');
    const [look] = await log();
    const proofs = { mendedBy: [reheat.id], provedBy: [look!.id] };
    expect((await claim(lead, { state: 'proved', ...proofs })).body.code).toBe('fault.unproved');
    const technician = await technicianOf(lead, shop.url);
    const refused = await claim(technician, { state: 'accepted', acceptedBecause: 'it flies anyway' });
    expect([refused.status, refused.body.code]).toEqual([403, 'fault.lead']);
  });

  it('replaces the part by its steps, follows it into the stores and is closed', async () => {
    const part = newPart('lapwing-esc-45', 'E-77');
    const esc = part.id;
    const stored = await lead.post('/parts', part);
    expect(stored.status, JSON.stringify(stored.body)).toBe(201);
    const twice = await lead.post('/parts', { ...part, id: v7() });
    expect([twice.status, twice.body.code]).toEqual([409, 'part.serial']);
    expect(twice.body.message).toMatch(/E-77 .*in the shop/);
    const replace = { saw: 'replace', slot: 'ESC', part: esc, oldSerial: 'E-11', oldTo: 'customer', reason: 'shorted' };
    expect((await post(lead, sent(lead, jobId, replace))).status).toBe(200);
    await workUntil(worked(jobId), null);
    const fitted = (await lead.get(`/parts/${esc}`)).body as { onQuad?: string | null };
    expect(fitted.onQuad).toMatch(/^Quad /);
    expect((await lead.post(`/jobs/${jobId}/close`, {})).status).toBe(204);
    const faults = (await log()).filter(({ body }) => 'saw' in body && body.saw === 'fault');
    expect(faults.at(-1)?.body).toMatchObject({ fault: { state: 'proved' } });
  }, 60_000);
});
