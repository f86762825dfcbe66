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

  it('refuses another person’s name, another quad’s job, and a verdict that does not follow', async () => {
    const other = await openJob(lead);
    expect((await post([sent(lead, job.jobId, fitEsc, { personId: v7() })])).body.code).toBe('record.person');
    expect((await post([sent(lead, other.jobId, fitEsc)])).body.code).toBe('job.elsewhere');
    const touch = { black: 'BAT.MINUS', red: 'BAT.PLUS', mode: 'tone', power: 'off' };
    const reading = {
      touch,
      meterId: v7(),
      heard: { length: 'does not stop', heldMs: null, by: 'key', wrong: 0, anchors: { black: null, red: null } },
      expected: { touch, from: 'computed', passes: ['none'], band: null, chargeAfterV: {}, because: [] },
      verdict: 'pass',
      coreVersion: 'x',
    };
    expect((await post([sent(lead, job.jobId, { saw: 'reading', reading })])).body.code).toBe('reading.verdict');
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

  it('lists quads and customers by the first letters, wildcards taken as letters', async () => {
    expect((await lead.get('/quads?q=Quad')).body).not.toHaveLength(0);
    expect((await lead.get('/quads?q=%25')).body).toHaveLength(0);
  });
});

describe('plans', () => {
  it('merge path by path; only a path that somebody changed meanwhile conflicts', async () => {
    const own = await openJob(lead);
    const job = (await lead.get(`/jobs/${own.jobId}`)).body as unknown as {
      plan: { target: { wires: Record<string, { colour: string }> } };
    };
    const change = (id: string, colour: string) => {
      const before = job.plan.target.wires[id]!;
      return lead.post(`/jobs/${own.jobId}/plan-changes`, {
        version: 1,
        changes: [{ path: `wires/${id}`, before, after: { ...before, colour } }],
      });
    };
    expect((await change('W1', 'blue')).body.version).toBe(2);
    expect((await change('W2', 'blue')).body.version).toBe(3);
    const late = await change('W1', 'white');
    expect([late.status, late.body.code, late.body.path]).toEqual([409, 'plan.conflict', 'wires/W1']);
  });

  it('lead nowhere in no plan: a change or a file that names a pad which is not there is refused whole', async () => {
    const own = await openJob(lead);
    const path = `/jobs/${own.jobId}`;
    const plan = async () =>
      (
        (await lead.get(path)).body as unknown as {
          plan: { version: number; target: { wires: Record<string, { ends: { at: object }[] }> } };
        }
      ).plan;
    const before = await plan();
    const wire = before.target.wires.W1!;
    const after = { ...wire, ends: [wire.ends[0], { ...wire.ends[1], at: { on: 'terminal', ref: 'FC.NOWHERE' } }] };
    const good = { path: 'schools/coating', before: null, after: 'none' };
    const reply = await lead.post(`${path}/plan-changes`, {
      version: before.version,
      changes: [good, { path: 'wires/W1', before: wire, after }],
    });
    expect([reply.status, reply.body.code, reply.body.message]).toEqual([
      422,
      'plan.nowhere',
      'W1: there is no FC.NOWHERE',
    ]);
    expect(await plan()).toEqual(before);
    const {
      jobId: _job,
      version: _version,
      ...draft
    } = before as unknown as { jobId: string; version: number; target: typeof before.target };
    const file = {
      format: 'junctor-build',
      version: 1,
      name: 'x',
      plan: { ...draft, target: { ...draft.target, wires: { ...draft.target.wires, W1: after } } },
    };
    const opened = await lead.post('/jobs', {
      id: v7(),
      quadId: own.quadId,
      kind: 'new',
      title: 'x',
      dueOn: null,
      bench: 1,
      intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
      plan: { file },
    });
    expect([opened.status, opened.body.path]).toEqual([422, 'plan.file.plan.target.wires.W1.ends.1']);
  });

  it('refuse what would destroy hardware, and take what only does not work yet', async () => {
    const { jobId } = await openJob(lead);
    const path = `/jobs/${jobId}`;
    const plan = async () =>
      (
        (await lead.get(path)).body as unknown as {
          plan: { version: number; target: { wires: Record<string, { ends: { at: { ref?: string } }[] }> } };
        }
      ).plan;
    const before = await plan();
    const [id, wire] = Object.entries(before.target.wires).find(
      ([, { ends }]) => ends[0]!.at.ref === 'RX.5V' || ends[1]!.at.ref === 'RX.5V',
    )!;
    const on = (ref: string) => ({
      ...wire,
      ends: wire.ends.map((end) => (end.at.ref?.startsWith('FC.') ? { ...end, at: { on: 'terminal', ref } } : end)),
    });
    const change = (after: object) =>
      lead.post(`${path}/plan-changes`, {
        version: before.version,
        changes: [{ path: `wires/${id}`, before: wire, after }],
      });
    const deadly = await change(on('FC.VB1'));
    expect([deadly.status, deadly.body.code, deadly.body.path]).toEqual([422, 'plan.kills', `wires/${id}`]);
    expect(deadly.body.message).toMatch(/^That would destroy hardware: RX 5V withstands/);
    expect(await plan()).toEqual(before);
    expect((await change(on('FC.TX4'))).status).toBe(200);
  });

  it('refuse hostile sizes and names that stand twice, and store nothing of them', async () => {
    const own = await openJob(lead);
    const { plan } = (await lead.get(`/jobs/${own.jobId}`)).body as unknown as {
      plan: { version: number; target: { wires: Record<string, { id: string }> }; links: { id: string }[] };
    };
    const wire = plan.target.wires.W1!;
    const quadId = v7();
    const {
      jobId: _job,
      version: _version,
      ...draft
    } = plan as unknown as { jobId: string; version: number; target: typeof plan.target; links: typeof plan.links };
    const open = (changed: object) =>
      lead.post('/jobs', {
        id: v7(),
        quadId,
        kind: 'new',
        title: 'x',
        dueOn: null,
        bench: 1,
        intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
        plan: { file: { format: 'junctor-build', version: 1, name: 'x', plan: { ...draft, ...changed } } },
      });
    const many = Object.fromEntries(
      Array.from({ length: 1001 }, (_, index) => [`X${index}`, { ...wire, id: `X${index}` }]),
    );
    const large = await open({ target: { ...draft.target, wires: many } });
    expect([large.status, large.body.code, large.body.path]).toEqual([
      422,
      'plan.nowhere',
      'plan.file.plan.target.wires',
    ]);
    const twice = await open({ links: [...draft.links, draft.links[0]] });
    expect([twice.status, twice.body.path]).toEqual([422, `plan.file.plan.links.${draft.links.length}`]);
    const flood = await lead.post(`/jobs/${own.jobId}/plan-changes`, {
      version: plan.version,
      changes: Object.entries(many)
        .slice(0, 990)
        .map(([id, after]) => ({ path: `wires/${id}`, before: null, after })),
    });
    expect(flood.status).toBeGreaterThanOrEqual(400);
    expect(((await lead.get(`/jobs/${own.jobId}`)).body as unknown as { plan: typeof plan }).plan).toEqual(plan);
  });

  it('take many people at once: paths of their own all arrive, of one path one alone', async () => {
    const { jobId } = await openJob(lead);
    const path = `/jobs/${jobId}`;
    const { plan } = (await lead.get(path)).body as unknown as {
      plan: { version: number; target: { wires: Record<string, { colour: string }> } };
    };
    const ids = Object.keys(plan.target.wires).slice(0, 12);
    const dye = (id: string, colour: string) =>
      lead.post(`${path}/plan-changes`, {
        version: plan.version,
        changes: [{ path: `wires/${id}`, before: plan.target.wires[id], after: { ...plan.target.wires[id], colour } }],
      });
    const own = await Promise.all(ids.slice(1).map((id) => dye(id, 'violet')));
    expect(own.map(({ status }) => status)).toEqual(own.map(() => 200));
    const same = await Promise.all(['orange', 'brown', 'grey', 'blue'].map((colour) => dye(ids[0]!, colour)));
    expect(same.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const after = (await lead.get(path)).body as unknown as { plan: typeof plan };
    expect(after.plan.version).toBe(plan.version + 12);
    expect(ids.slice(1).map((id) => after.plan.target.wires[id]!.colour)).toEqual(ids.slice(1).map(() => 'violet'));
    const winner = ['orange', 'brown', 'grey', 'blue'][same.findIndex(({ status }) => status === 200)];
    expect(after.plan.target.wires[ids[0]!]!.colour).toBe(winner);
  });

  it('refuse a build file with a mistake, with its place, and open no job', async () => {
    const own = await openJob(lead);
    const quadId = own.quadId;
    const reply = await lead.post('/jobs', {
      id: v7(),
      quadId,
      kind: 'new',
      title: 'x',
      dueOn: null,
      bench: 1,
      intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
      plan: { file: { format: 'junctor-build', version: 1, name: 'x', plan: {} } },
    });
    expect([reply.status, reply.body.path]).toEqual([422, 'plan.file.plan.target']);
  });
});

it('has no statement file that nothing uses', () => {
  expect(strayFiles()).toEqual([]);
});
