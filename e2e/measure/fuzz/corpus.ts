/** One good request of every sort, and every sort of record that a good job leaves: what is bent afterwards. */
import type { QuadRecord } from '@junctor/core';
import { walk, startWalk } from '@junctor/demo';
import { benchOf, newPart } from '@junctor/server/testing';
import type { Worked } from '@junctor/server/testing';
import { v7 } from 'uuid';

export interface Sample {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  path: string;
  body?: unknown;
  type?: string;
}

const jobBody = (quadId: string, plan: object) => ({
  id: v7(),
  quadId,
  kind: 'new',
  title: 'new build',
  dueOn: '2026-12-01',
  bench: 1,
  intake: { wants: 'a camera', valueMinor: 120_000, pack: null, propeller: null, extras: [] },
  plan,
});

export async function corpus(worked: Worked): Promise<Sample[]> {
  const { client, quadId, jobId } = worked;
  const { deviceId } = client;
  const model = { model: 'lapwing-esc-45', revision: 1 };
  const part = newPart(model.model, 'S-1', { condition: 'tested', weightG: 12.5 });
  const stock = { id: v7(), key: 'wire:26:red', name: 'red wire', unit: 'mm', offcut: false, place: 'drawer 2' };
  const line = { ...stock, doc: { awg: 26, colour: 'red' }, onHand: 4000 };
  await client.post('/parts', part);
  await client.post('/stock', line);
  const [template] = (await client.get('/templates')).body as unknown as { id: string }[];
  const { plan } = (await client.get(`/templates/${template!.id}`)).body as { plan: { target: { wires: object } } };
  const [wire] = Object.entries(plan.target.wires) as [string, object][];
  const file = { format: 'junctor-build', version: 1, name: 'a build', plan };
  const device = { id: deviceId, label: 'tablet' };
  const change = { path: `wires/${wire![0]}`, before: wire![1], after: { ...wire![1], colour: 'violet' } };
  const reads = ['/shop', '/session', '/people', '/customers?q=a', '/quads?q=Q', `/quads/${quadId}`, '/floor', '/tools']
    .concat([
      '/templates',
      `/jobs/${jobId}`,
      `/quads/${quadId}/records?after=0`,
      '/catalogue/index',
      '/parts?q=S',
      '/stock',
    ])
    .concat([`/parts/${part.id}`, `/stock/${stock.id}/moves`, `/catalogue/models/${model.model}`, '/catalogue/schema'])
    .map((path): Sample => ({ method: 'GET', path }));
  return [
    ...reads,
    { method: 'POST', path: '/session', body: { name: 'Nobody', password: 'nothing at all', device } },
    { method: 'POST', path: '/session/password', body: { old: 'never this one', password: 'long enough too' } },
    {
      method: 'POST',
      path: '/shop/first-lead',
      body: { shop: 'x', id: v7(), name: 'y', password: 'long enough', device },
    },
    {
      method: 'POST',
      path: '/people',
      body: { id: v7(), name: 'Some One', role: 'technician', password: 'long enough' },
    },
    { method: 'POST', path: `/people/${v7()}/password`, body: { password: 'long enough' } },
    { method: 'POST', path: '/customers', body: { id: v7(), name: 'A customer', contact: 'by the gate' } },
    { method: 'POST', path: '/quads', body: { id: v7(), customerId: v7(), name: 'A quad' } },
    { method: 'POST', path: '/jobs', body: jobBody(quadId, { template: template!.id }) },
    { method: 'POST', path: '/jobs', body: jobBody(quadId, { file }) },
    { method: 'POST', path: '/jobs', body: jobBody(quadId, { book: true }) },
    { method: 'POST', path: `/jobs/${jobId}/plan-changes`, body: { version: 1, changes: [change] } },
    { method: 'POST', path: `/jobs/${jobId}/close`, body: {} },
    {
      method: 'POST',
      path: `/quads/${quadId}/permits`,
      body: { id: v7(), jobId, deviceId, doneAt: new Date().toISOString(), gate: 'first power' },
    },
    { method: 'POST', path: '/catalogue/models', body: { wanted: [model] } },
    { method: 'POST', path: '/catalogue/retire', body: { id: 'no-such-model', retired: true } },
    {
      method: 'POST',
      path: '/catalogue/import',
      body: { format: 'junctor-catalogue', version: 1, models: [{ id: 'x' }] },
      type: 'application/octet-stream',
    },
    { method: 'POST', path: '/parts', body: { ...part, id: v7(), serial: 'S-2' } },
    { method: 'POST', path: `/parts/${part.id}/notes`, body: { id: v7(), body: { is: 'weight', grams: 12 } } },
    { method: 'POST', path: '/stock', body: { ...line, id: v7() } },
    { method: 'POST', path: '/stock/counted', body: { rows: [{ ...line, id: v7() }] } },
    { method: 'POST', path: `/stock/${stock.id}/moves`, body: { id: v7(), delta: -5, why: 'used' } },
    { method: 'PUT', path: `/pictures/${v7()}`, body: 'no picture', type: 'image/png' },
    ...(await records(worked)),
  ];
}

/** Every kind of record once or twice, from a whole good job and from what a repair adds. */
async function records(worked: Worked): Promise<Sample[]> {
  const bench = await benchOf(worked);
  const whole = walk(bench, startWalk(bench, Date.now() - 40 * 3600_000), () => false).records;
  const kinds = new Map<string, QuadRecord[]>();
  for (const record of whole) {
    const kind = 'do' in record.body ? record.body.do : record.body.saw;
    kinds.set(kind, [...(kinds.get(kind) ?? []), record]);
  }
  const some = [...kinds.values()].flatMap((list) => [list[0]!, list[Math.floor(list.length / 2)]!]);
  const base = whole[0]!;
  const more = [
    {
      saw: 'fault',
      fault: {
        symptom: 'no tones',
        site: { slot: 'ESC' },
        cause: '',
        partsReplaced: [],
        done: '',
        minutes: 5,
        costMinor: 0,
        state: 'found',
      },
    },
    { saw: 'symptom', area: 'power', words: 'no tones', answer: null },
    { saw: 'history', died: 'crash', changedLast: 'propellers', overloadedS: null },
    { saw: 'untouched', since: worked.jobId },
    { saw: 'replace', slot: 'ESC', part: null, oldSerial: null, oldTo: 'scrap', reason: 'shorted' },
    { saw: 'stays open', mate: 'JE', reason: 'for a test' },
    { saw: 'open point', text: 'ask the customer', state: 'open', how: '' },
    { saw: 'taken back', reason: 'a slip' },
    { saw: 'waiver', finding: 'x:y', severity: 'warn', reason: 'it is fine' },
    { do: 'contact', a: 'FC.GND1', b: 'FC.5V1', ohms: 2, why: 'measured' },
    { do: 'hide', refs: ['FC.5V1'], by: 'lid' },
    { do: 'unhouse', housing: 'C1E' },
    { do: 'drop wire', wire: 'M1-A' },
    { do: 'reheat', wire: 'M1-A', end: 1, dwellS: 1.5 },
    { do: 'free', wire: 'M1-A', end: 1, left: 'clean', now: 'bare' },
    { do: 'take off', slot: 'ESC', to: 'scrap' },
  ].map((body) => ({ ...base, body }) as unknown as QuadRecord);
  return [...some, ...more].map((record): Sample => {
    const { quadId: _quad, seq: _seq, arrivedAt: _at, judged: _judged, ...sent } = record;
    const body = { records: [{ ...sent, id: v7() }] };
    return { method: 'POST', path: `/quads/${worked.quadId}/records`, body };
  });
}
