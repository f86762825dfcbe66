/** A job worked on a real server as a tablet would: every step as it is asked, its records sent, permits asked for. */
import type { JobSheet, Meter, QuadRecord, TouchesReply } from '@junctor/core';
import { makeCatalogue } from '@junctor/core';
import type { Walk } from '@junctor/demo';
import { doStep, startWalk } from '@junctor/demo';
import { v7 } from 'uuid';
import type { Client, Reply } from './client';
import type { TestShop } from './testShop';

export interface Worked {
  shop: TestShop;
  client: Client;
  quadId: string;
  jobId: string;
}

/** Works until the first open step of the verb, or to the end. */
export async function workUntil(worked: Worked, verb: string | null): Promise<Walk> {
  const { client, quadId } = worked;
  const bench = await benchOf(worked);
  const known = await logOf(client, quadId);
  // The work is told to have taken hours: it begins so long ago that none of it lies in the future.
  const last = known.at(-1);
  let now = startWalk(bench, last ? Date.parse(last.doneAt) + 1000 : Date.now() - 12 * 3600_000, known);
  let stored = known.length;
  const send = async () => {
    for (let from = stored; from < now.records.length; from += 100)
      ok(await sendRecords(client, quadId, now.records.slice(from, from + 100)));
    stored = now.records.length;
  };
  for (let step = now.state.current; step && step.verb !== verb; step = now.state.current) {
    if (step.verb !== 'permit') {
      now = doStep(bench, now, step);
      continue;
    }
    await send();
    ok(await askPermit(worked, new Date(now.nowMs).toISOString()));
    now = startWalk(bench, now.nowMs + 1000, await logOf(client, quadId));
    stored = now.records.length;
  }
  await send();
  return now;
}

/** What a virtual technician works with in this shop. */
export async function benchOf({ shop, client, quadId, jobId }: Worked) {
  const { plan } = (await client.get(`/jobs/${jobId}`)).body as unknown as JobSheet;
  const catalogue = makeCatalogue(shop.shop.catalogue.models);
  const { personId, deviceId } = client;
  const newId = () => v7();
  return {
    quadId,
    jobId,
    plan,
    list: await listOf(client, jobId),
    catalogue,
    ...(await toolsOf(client)),
    personId,
    deviceId,
    packV: plan.cells[1] * 3.9,
    newId,
  };
}

/** The touches of the plan, once they are worked out. */
async function listOf(client: Client, jobId: string) {
  for (;;) {
    const { list } = (await client.get(`/jobs/${jobId}/touches`)).body as unknown as TouchesReply;
    if (list) return list;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

/** The shop's meter and one of its limiters: no other reading counts. */
async function toolsOf(client: Client): Promise<{ meter: Meter; limiterId: string }> {
  const tools = (await client.get('/tools')).body as unknown as {
    id: string;
    kind: string;
    name: string;
    doc: Omit<Meter, 'id' | 'name'>;
  }[];
  const { doc, id, name } = tools.find(({ kind }) => kind === 'meter')!;
  return { meter: { ...doc, id, name }, limiterId: tools.find(({ kind }) => kind === 'limiter')!.id };
}

export async function logOf(client: Client, quadId: string): Promise<QuadRecord[]> {
  return (await client.get(`/quads/${quadId}/records`)).body as unknown as QuadRecord[];
}

export function sendRecords(client: Client, quadId: string, records: readonly QuadRecord[]): Promise<Reply> {
  const ofServer = ['quadId', 'seq', 'arrivedAt', 'judged', 'person'];
  const bodies = records.map((record) => ({
    ...Object.fromEntries(Object.entries(record).filter(([name]) => !ofServer.includes(name))),
    shownAt: null,
  }));
  return client.post(`/quads/${quadId}/records`, { records: bodies });
}

export function askPermit({ client, quadId, jobId }: Worked, doneAt = new Date().toISOString()): Promise<Reply> {
  const { deviceId } = client;
  return client.post(`/quads/${quadId}/permits`, { id: v7(), jobId, deviceId, doneAt, gate: 'first power' });
}

function ok({ status, body }: Reply): void {
  if (status !== 200) throw new Error(JSON.stringify(body));
}
