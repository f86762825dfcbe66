/** Plans on a real MariaDB: merged path by path, never led nowhere, never into what destroys hardware. */
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
