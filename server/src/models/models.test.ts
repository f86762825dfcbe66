/** Part models in and out on a real MariaDB: whole or not at all, revisions added, never changed. */
import type { PartModel } from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, openJob, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;
const curlew = shippedModels().find(({ id }) => id === 'curlew-fc-30')!;
const take = (models: readonly unknown[], file: object = {}) =>
  lead.bytes(
    'POST',
    '/catalogue/import',
    'application/octet-stream',
    JSON.stringify({ format: 'junctor-catalogue', version: 1, models, ...file }),
  );
const called = (id: string, over: Partial<PartModel> = {}): PartModel => ({ ...curlew, id, name: id, ...over });
const count = async () => ((await lead.get('/catalogue/index')).body as unknown as unknown[]).length;
const faults = async (models: readonly unknown[]) =>
  ((await take(models)).body.mistakes as { path: string; code: string }[]).map(({ path, code }) => `${path} ${code}`);

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
});
afterAll(() => shop.stop());

describe('a catalogue file', () => {
  it('is taken whole, is known the second time, and comes out as it went in', async () => {
    expect((await take([called('import-a'), called('import-b')])).body).toEqual({ added: 2, known: 0 });
    expect((await take([called('import-a'), called('import-c')])).body).toEqual({ added: 1, known: 1 });
    const out = (await lead.get('/catalogue/export?id=import-b')).body;
    expect(out).toEqual({ format: 'junctor-catalogue', version: 1, models: [called('import-b')] });
  });

  it('is refused whole with the place of every fault, and leaves nothing behind', async () => {
    const before = await count();
    const [pad, ...pads] = curlew.terminals;
    const bad = [
      called('fine'),
      called('two-pads', { terminals: [pad!, { ...pads[0]!, atMm: pad!.atMm }, ...pads.slice(1)] }),
      called('off-board', { terminals: [{ ...pad!, atMm: [90, 0] }, ...pads] }),
      { ...called('odd'), colour: 'red' },
      called('heavy', { massG: 1e9 }),
      called('typed', { massG: '9' as never }),
    ];
    const found = await faults(bad);
    expect(found).toEqual(
      expect.arrayContaining([
        'models.1.terminals.1.atMm model.overlap',
        'models.2.terminals.0.atMm model.outside',
        'models.3.colour object.unknown',
        'models.4.massG number.max',
        'models.5.massG number.base',
      ]),
    );
    expect(await count()).toBe(before);
    expect((await lead.get('/catalogue/models/fine')).status).toBe(404);
  });

  it('is refused for a loop of regulators, a rail from nowhere, a rating below its rail', async () => {
    const change = (id: string, edit: (element: PartModel['elements'][number]) => object) =>
      called(id, { elements: curlew.elements.map((element) => ({ ...element, ...edit(element) })) });
    expect(await faults([change('loop', (element) => (element.id === 'REG5' ? { input: 'V33' } : {}))])).toContain(
      'models.0.elements.1 model.regulator loop',
    );
    expect(
      await faults([called('dead', { elements: curlew.elements.filter(({ id }) => id !== 'REG9') })]),
    ).toContainEqual(expect.stringContaining('model.source'));
    expect(await faults([change('weak', (element) => (element.id === 'C9' ? { ratedV: 6 } : {}))])).toContainEqual(
      expect.stringContaining('model.rating'),
    );
  });

  it('is refused when it is something else', async () => {
    expect((await take([], { format: 'other' })).body.code).toBe('catalogue.format');
    expect((await lead.bytes('POST', '/catalogue/import', 'application/octet-stream', '{"format": ')).body.code).toBe(
      'json.broken',
    );
    expect(
      (await lead.bytes('POST', '/catalogue/import', 'application/octet-stream', `"${'x'.repeat(70 * 1024 * 1024)}"`))
        .body.code,
    ).toBe('body.too.large');
  });

  it('brings changes as the next revision, which may add terminals and drop none', async () => {
    await take([called('revised')]);
    expect(await faults([called('revised', { massG: 9 })])).toEqual(['models.0.revision model.exists']);
    expect(await faults([called('revised', { revision: 3 })])).toEqual(['models.0.revision model.revision']);
    const fewer = curlew.terminals.filter(({ id }) => id !== 'BOOT');
    expect(
      await faults([
        called('revised', {
          revision: 2,
          terminals: fewer,
          elements: curlew.elements.filter((element) => !element.id.endsWith('BOOT')),
        }),
      ]),
    ).toEqual(['models.0.terminals model.dropped']);
    expect((await take([called('revised', { revision: 2, massG: 9 })])).body).toEqual({ added: 1, known: 0 });
    const sheet = (await lead.get('/catalogue/models/revised')).body as unknown as { revisions: PartModel[] };
    expect(sheet.revisions.map(({ massG }) => massG)).toEqual([9.6, 9]);
  });

  it('tells its progress while it works', async () => {
    const many = Array.from({ length: 120 }, (_, index) => called(`many-${index}`));
    const response = await lead.bytes(
      'POST',
      '/catalogue/import',
      'application/octet-stream',
      JSON.stringify({ format: 'junctor-catalogue', version: 1, models: many }),
    );
    expect(response.body).toEqual({ added: 120, known: 0 });
  });
});

it('a model is retired and taken up again, and says where it is used', async () => {
  const { jobId } = await openJob(lead);
  const retired = async () =>
    ((await lead.get('/catalogue/index')).body as unknown as { id: string; retired: boolean }[]).find(
      ({ id }) => id === 'plover-fc-36',
    )!.retired;
  await lead.post('/catalogue/retire', { id: 'plover-fc-36', retired: true });
  expect(await retired()).toBe(true);
  await lead.post('/catalogue/retire', { id: 'plover-fc-36', retired: false });
  expect(await retired()).toBe(false);
  expect((await lead.get('/catalogue/models/plover-fc-36')).body.usedIn).toMatchObject([{ jobId, revision: 1 }]);
});
