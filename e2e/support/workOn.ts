/**
 * Gets a job to a step without the hands: the virtual technician does what each step says, through the server's own
 * door.
 */
import type { JobSheet, PartModel, QuadRecord, TouchesReply } from '@junctor/core';
import { makeCatalogue } from '@junctor/core';
import { shippedMeter, shippedModels } from '@junctor/catalogue';
import { doStep, startWalk } from '@junctor/demo';
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { v7 } from 'uuid';

interface Session {
  personId: string;
  deviceId: string;
}

const batch = 100;

/** Records every step of the quad's open job up to the first with this verb, in the name of whoever is signed in. */
export async function workUntil(page: Page, url: string, quad: string, verb: string): Promise<void> {
  const get = async <T>(path: string) => (await (await page.request.get(`${url}/api${path}`)).json()) as T;
  const session = await get<Session>('/session');
  const [line] = (await get<{ jobId: string; quadId: string; quad: string }[]>('/floor')).filter(
    (line) => line.quad === quad,
  );
  if (!line) throw new Error(`no open job of ${quad}`);
  const { plan } = await get<JobSheet>(`/jobs/${line.jobId}`);
  const { list } = await get<TouchesReply>(`/jobs/${line.jobId}/touches`);
  if (!list) throw new Error(`no list of touches ships for ${quad}`);
  const records = await get<QuadRecord[]>(`/quads/${line.quadId}/records`);
  const [meter] = await get<{ id: string; kind: string }[]>('/tools').then((tools) =>
    tools.filter(({ kind }) => kind === 'meter'),
  );
  const bench = {
    quadId: line.quadId,
    jobId: line.jobId,
    plan,
    list,
    catalogue: makeCatalogue(shippedModels() as PartModel[]),
    meter: { id: meter!.id, name: 'meter', ...shippedMeter },
    limiterId: v7(),
    ...session,
    packV: plan.cells[1] * 3.9,
    newId: () => v7(),
  };
  const startMs = Math.max(Date.now(), ...records.map(({ doneAt }) => Date.parse(doneAt))) + 1000;
  let walk = startWalk(bench, startMs, records);
  for (let step = walk.state.current; step && step.verb !== verb; step = walk.state.current) {
    walk = doStep(bench, walk, step);
  }
  // All of it has just been done: what hands do next must not lie before it by the clock.
  const doneAt = new Date().toISOString();
  const made = walk.records.slice(records.length);
  for (let from = 0; from < made.length; from += batch) {
    const sent = made
      .slice(from, from + batch)
      .map(({ quadId: _quad, seq: _seq, arrivedAt: _at, ...one }) => ({ ...one, shownAt: null, doneAt }));
    const reply = await page.request.post(`${url}/api/quads/${line.quadId}/records`, { data: { records: sent } });
    expect(reply.ok(), await reply.text()).toBe(true);
  }
}
