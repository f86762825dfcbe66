/** The log on a real MariaDB: once, in order, in one's own name, never changed. */
import mysql from 'mysql2/promise';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate } from '../database/migrate';
import { strayFiles } from '../database/statements';
import type { Client, TestShop } from '../testing';
import { anonymous, firstLead, fitEsc, openJob, sent, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;
let job: { quadId: string; jobId: string };
const post = (records: object[], quadId = job.quadId) => lead.post(`/quads/${quadId}/records`, { records });
const log = async (quadId = job.quadId) =>
  (await lead.get(`/quads/${quadId}/records`)).body as unknown as { id: string; seq: number; body: object }[];

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  job = await openJob(lead);
});
afterAll(() => shop.stop());

describe('storing records', () => {
  it('gives each a place without gaps, and the same place when it is sent again', async () => {
    const records = [sent(lead, job.jobId, fitEsc), sent(lead, job.jobId, { saw: 'caution', id: 'hot iron' })];
    const first = await post(records);
    expect((first.body.records as { seq: number }[]).map(({ seq }) => seq)).toEqual([1, 2]);
    const again = await post([records[1]!, records[0]!, sent(lead, job.jobId, { saw: 'caution', id: 'ventilated' })]);
    expect((again.body.records as { seq: number }[]).map(({ seq }) => seq)).toEqual([2, 1, 3]);
    expect((await log()).map(({ seq }) => seq)).toEqual([1, 2, 3]);
  });

  it('refuses another record under a known id', async () => {
    const record = sent(lead, job.jobId, { saw: 'caution', id: 'eye protection' });
    await post([record]);
    const reply = await post([{ ...record, body: { saw: 'caution', id: 'propellers off' } }]);
    expect([reply.status, reply.body.code]).toEqual([409, 'record.differs']);
  });

  it('stores nothing of a batch that has one bad record, and says where', async () => {
    const before = await log();
    const reply = await post([sent(lead, job.jobId, fitEsc), sent(lead, job.jobId, { do: 'fit', slot: 'FC' })]);
    expect(reply.status).toBe(422);
    expect(reply.body).toMatchObject({ code: 'invalid.any.required', path: 'records.1.body.fitted' });
    const unknown = await post([
      sent(lead, job.jobId, fitEsc),
      sent(lead, job.jobId, { ...fitEsc, fitted: { model: 'nothing', revision: 1, part: null, pose: null } }),
    ]);
    expect(unknown.body).toMatchObject({ code: 'model.unknown', path: 'records.1.body.fitted' });
    expect(await log()).toEqual(before);
  });

  it('keeps one correction of a record', async () => {
    const record = sent(lead, job.jobId, fitEsc);
    await post([record]);
    const takenBack = { saw: 'taken back', reason: 'no' };
    expect((await post([sent(lead, job.jobId, takenBack, { replaces: record.id })])).status).toBe(200);
    const second = await post([sent(lead, job.jobId, takenBack, { replaces: record.id })]);
    expect(second.body.code).toBe('record.corrected');
    const stray = await post([sent(lead, job.jobId, takenBack, { replaces: v7() })]);
    expect(stray.body.code).toBe('replaces.nothing');
  });

  it('refuses another person’s name and another quad’s job', async () => {
    const other = await openJob(lead);
    expect((await post([sent(lead, job.jobId, fitEsc, { personId: v7() })])).body.code).toBe('record.person');
    expect((await post([sent(lead, other.jobId, fitEsc)])).body.code).toBe('job.elsewhere');
  });

  it('takes no permit from a client, and gives none while anything is missing', async () => {
    const forged = await post([sent(lead, job.jobId, { saw: 'permit', gate: 'first power', checks: [], waivers: [] })]);
    expect(forged.status).toBe(422);
    const asked = await lead.post(`/quads/${job.quadId}/permits`, {
      id: v7(),
      jobId: job.jobId,
      deviceId: lead.deviceId,
      doneAt: new Date().toISOString(),
      gate: 'first power',
    });
    expect([asked.status, asked.body.code]).toEqual([409, 'gate.blocking']);
    expect((asked.body.context as { missing: string[] }).missing.length).toBeGreaterThan(50);
  });

  it('keeps order under many writers at once', async () => {
    const own = await openJob(lead);
    await Promise.all(
      Array.from({ length: 30 }, () => post([sent(lead, own.jobId, { saw: 'caution', id: 'ventilated' })], own.quadId)),
    );
    expect((await log(own.quadId)).map(({ seq }) => seq)).toEqual(Array.from({ length: 30 }, (_, index) => index + 1));
  });
});

describe('the application’s account', () => {
  it.each(['record', 'plan_change', 'part_model', 'setting'])('cannot update or delete in %s', async (table) => {
    const appUrl = await migrate(shop.ownerUrl, shop.databaseName);
    const connection = await mysql.createConnection(appUrl);
    const errno = (sql: string) =>
      connection.query(sql).then(
        () => 0,
        (error: { errno: number }) => error.errno,
      );
    const column = { record: 'kind', plan_change: 'version', part_model: 'name', setting: 'version' }[table]!;
    expect(await errno(`UPDATE ${table} SET ${column} = ${column}`)).toBe(1142);
    expect(await errno(`DELETE FROM ${table}`)).toBe(1142);
    expect(await errno(`SELECT COUNT(*) FROM ${table}`)).toBe(0);
    await connection.end();
  });
});

describe('the border', () => {
  it('answers what it cannot read with code, message, path and context', async () => {
    const reply = await lead.post('/customers', '{"name": ');
    expect(reply.status).toBe(400);
    expect(Object.keys(reply.body).sort()).toEqual(['code', 'context', 'message', 'path']);
  });

  it('lets nobody in without a session', async () => {
    for (const path of ['/floor', '/people', '/catalogue/index', '/parts', '/stock', `/quads/${job.quadId}/records`])
      expect((await anonymous(shop.url).get(path)).status).toBe(401);
    const wrong = await anonymous(shop.url).post('/session', {
      name: 'Lead',
      password: 'wrong',
      device: { id: v7(), label: 'x' },
    });
    expect([wrong.status, wrong.body.path]).toEqual([401, 'password']);
  });

  it('makes one first lead only, and lets only leads add people', async () => {
    const second = await anonymous(shop.url).post('/shop/first-lead', {
      shop: 'x',
      id: v7(),
      name: 'Other',
      password: 'long enough',
      device: { id: v7(), label: 'x' },
    });
    expect(second.body.code).toBe('shop.has.people');
    const added = { id: v7(), name: 'Tech', role: 'technician', password: 'long enough' };
    expect((await lead.post('/people', added)).status).toBe(201);
    const technician = anonymous(shop.url);
    await technician.post('/session', {
      name: 'Tech',
      password: 'long enough',
      device: { id: technician.deviceId, label: 'x' },
    });
    expect((await technician.post('/people', { ...added, id: v7(), name: 'More' })).body.code).toBe('lead.only');
    await lead.post(`/people/${added.id}/retire`, {});
    expect((await technician.get('/floor')).status).toBe(401);
  });

  it('lets a lead leave, but never the last one', async () => {
    expect((await lead.post(`/people/${lead.personId}/retire`, {})).body.code).toBe('person.last.lead');
    const second = { id: v7(), name: 'Second lead', role: 'lead', password: 'long enough' };
    await lead.post('/people', second);
    expect((await lead.post(`/people/${second.id}/retire`, {})).status).toBe(204);
    expect((await lead.post(`/people/${lead.personId}/retire`, {})).body.code).toBe('person.last.lead');
  });

  it('takes what somebody recorded before they left as theirs, by the hand that they were given', async () => {
    const gone = { id: v7(), name: 'Gone by then', role: 'technician', password: 'long enough' };
    await lead.post('/people', gone);
    const tablet = anonymous(shop.url);
    const device = { id: tablet.deviceId, label: 'tablet' };
    const { hand } = (await tablet.post('/session', { name: gone.name, password: gone.password, device })).body;
    await lead.post(`/people/${gone.id}/retire`, {});
    const theirs = sent({ ...tablet, personId: gone.id }, job.jobId, { saw: 'caution', id: 'hot iron' });
    const path = `/quads/${job.quadId}/records`;
    // Without the hand, with a wrong one, and from another device they stay refused.
    for (const by of [{}, { hand: 'not theirs' }])
      expect((await lead.post(path, { records: [theirs], ...by })).body.code).toBe('record.person');
    const elsewhere = { ...theirs, id: v7(), deviceId: lead.deviceId };
    expect((await lead.post(path, { records: [elsewhere], hand })).body.code).toBe('record.person');
    expect((await lead.post(path, { records: [theirs], hand })).status).toBe(200);
    const stored = (await log()).find(({ id }) => id === theirs.id) as unknown as { person: string };
    expect(stored.person).toBe('Gone by then');
  });

  it('keeps the sessions of two shops on one host apart', async () => {
    const other = await startTestShop();
    try {
      await firstLead(other.url);
      const cookieOf = async (url: string, name: string) => {
        const response = await fetch(`${url}/api/session`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ name, password: 'long enough', device: { id: v7(), label: 'x' } }),
        });
        return response.headers.get('set-cookie')!.split('=')[0];
      };
      expect(await cookieOf(shop.url, 'Lead')).not.toBe(await cookieOf(other.url, 'Lead'));
    } finally {
      await other.stop();
    }
  });

  it('lists quads and customers by the first letters, wildcards taken as letters', async () => {
    expect((await lead.get('/quads?q=Quad')).body).not.toHaveLength(0);
    expect((await lead.get('/quads?q=%25')).body).toHaveLength(0);
  });
});

it('has no statement file that nothing uses', () => {
  expect(strayFiles()).toEqual([]);
});
