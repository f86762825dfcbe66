/** Waivers on a real MariaDB: the server judges for itself who may let what stay as it is. */
import { applyPlanChanges, judge, landedOn, makeCatalogue, assemble } from '@junctor/core';
import type { JobSheet, PlanChange, Severity, TerminalRef } from '@junctor/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, openJob, sent, startTestShop, technicianOf } from '../testing';

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
const waive = (by: Client, finding: string, severity: string, reason = 'the customer wants it so') =>
  by.post(`/quads/${job.quadId}/records`, {
    records: [sent(by, job.jobId, { saw: 'waiver', finding, severity, reason })],
  });

/**
 * Moves an end of a wire so that the worst that the rules say is this, in the plan, or on the quad where no plan may
 * say so; returns the finding's key.
 */
async function spoil(worst: Severity): Promise<string> {
  const { plan } = await sheet();
  const catalogue = makeCatalogue(shop.shop.catalogue.models);
  const pads = Object.values(plan.target.wires).flatMap(({ ends }) => ends.flatMap((end) => landedOn(end) ?? []));
  for (const wire of Object.values(plan.target.wires)) {
    for (const pad of pads) {
      const ends = [
        wire.ends[0],
        { ...wire.ends[1], at: { on: 'terminal' as const, ref: pad as TerminalRef } },
      ] as const;
      const changes: PlanChange[] = [{ path: `wires/${wire.id}`, before: wire, after: { ...wire, ends } }];
      const made = applyPlanChanges(plan, changes);
      const [found] =
        made.ok && wire.ends[1].by === 'solder'
          ? judge(assemble(made.plan.target, catalogue), plan.links, plan.cells)
          : [];
      if (found?.severity !== worst) continue;
      const { id, ends: _ends, ...body } = wire;
      const soldered = sent(lead, job.jobId, { do: 'land', wire: id, end: 1, as: ends[1], body });
      const done =
        worst === 'kill'
          ? lead.post(`/quads/${job.quadId}/records`, { records: [soldered] })
          : lead.post(`/jobs/${job.jobId}/plan-changes`, { version: plan.version, changes });
      expect((await done).status).toBe(200);
      return found.key;
    }
  }
  throw new Error(`no move that gives ${worst}`);
}
const undo = async (before: JobSheet) => {
  const { plan } = await sheet();
  const changes = Object.values(before.plan.target.wires).flatMap((wire): PlanChange[] =>
    JSON.stringify(plan.target.wires[wire.id]) === JSON.stringify(wire)
      ? []
      : [{ path: `wires/${wire.id}`, before: plan.target.wires[wire.id], after: wire }],
  );
  await lead.post(`/jobs/${job.jobId}/plan-changes`, { version: plan.version, changes });
};

describe('a waiver', () => {
  it('of what will not work is a lead’s, and does not count as less than it is', async () => {
    const good = await sheet();
    const key = await spoil('stop');
    expect((await waive(technician, key, 'stop')).body).toMatchObject({
      code: 'waiver.refused',
      message: 'It will not work: only a lead can waive that',
      path: 'records.0.body.finding',
    });
    expect((await waive(technician, key, 'warn')).body.code).toBe('waiver.refused');
    expect((await waive(lead, key, 'warn')).body.code).toBe('waiver.refused');
    expect((await waive(lead, key, 'stop')).status).toBe(200);
    await undo(good);
  });

  it('of what destroys hardware is nobody’s', async () => {
    const key = await spoil('kill');
    expect((await waive(lead, key, 'stop')).body).toMatchObject({
      code: 'waiver.refused',
      message: 'It would destroy hardware: nobody can waive that',
    });
    expect((await waive(lead, key, 'kill')).status).toBe(422);
  });

  it('needs a reason and something to waive, and stores nothing otherwise', async () => {
    const before = (await lead.get(`/quads/${job.quadId}/records`)).body;
    expect((await waive(lead, 'nothing of the kind:FC.R1', 'warn')).body.code).toBe('waiver.nothing');
    expect((await waive(lead, 'x:y', 'warn', '  ')).status).toBe(422);
    expect((await lead.get(`/quads/${job.quadId}/records`)).body).toEqual(before);
  });
});
