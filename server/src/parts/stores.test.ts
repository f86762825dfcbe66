/** Stock, parts in hand and pictures on a real MariaDB: moves are kept, parts follow the log. */
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, fitEsc, openJob, sent, startTestShop, newPart } from '../testing';

let shop: TestShop;
let lead: Client;
let job: { quadId: string; jobId: string };
const post = (body: object) => lead.post(`/quads/${job.quadId}/records`, { records: [sent(lead, job.jobId, body)] });
const stock = async () =>
  (await lead.get('/stock')).body as unknown as { id: string; key: string; onHand: number; offcut: boolean }[];
const line = (over: object) => ({
  id: v7(),
  key: 'wire:28:red',
  name: 'red wire, 28 AWG',
  unit: 'mm',
  offcut: false,
  place: 'reels',
  doc: { awg: 28, colour: 'red' },
  onHand: 1000,
  ...over,
});

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  job = await openJob(lead);
});
afterAll(() => shop.stop());

describe('stock', () => {
  it('is counted from a list: known lines are set, new ones added, all or nothing', async () => {
    await lead.post('/stock/counted', {
      rows: [line({}), line({ key: 'tie:100', name: 'cable tie', unit: 'pieces', doc: {}, onHand: 20 })],
    });
    await lead.post('/stock/counted', { rows: [line({ onHand: 640 })] });
    expect((await stock()).map(({ key, onHand }) => [key, onHand])).toEqual([
      ['tie:100', 20],
      ['wire:28:red', 640],
    ]);
    const refused = await lead.post('/stock/counted', { rows: [line({ onHand: 1 }), line({ onHand: -4 })] });
    expect([refused.status, refused.body.path]).toEqual([422, 'rows.1.onHand']);
    expect((await stock()).find(({ key }) => key === 'wire:28:red')!.onHand).toBe(640);
    const moves = (await lead.get(`/stock/${(await stock()).find(({ key }) => key === 'wire:28:red')!.id}/moves`))
      .body as unknown as { delta: number }[];
    expect(moves.map(({ delta }) => delta)).toEqual([-360, 1000]);
  });

  it('moves when a kit is counted in, once however often the record is sent', async () => {
    const wire = (await stock()).find(({ key }) => key === 'wire:28:red')!;
    const record = sent(lead, job.jobId, {
      saw: 'kit',
      line: 'wire:28:red',
      wanted: 240,
      have: 240,
      takes: [{ stock: wire.id, quantity: 240 }],
      parts: [],
    });
    for (let time = 0; time < 2; time++)
      expect((await lead.post(`/quads/${job.quadId}/records`, { records: [record] })).status).toBe(200);
    expect((await stock()).find(({ id }) => id === wire.id)!.onHand).toBe(400);
    const missing = await post({
      saw: 'kit',
      line: 'x',
      wanted: 1,
      have: 1,
      takes: [{ stock: v7(), quantity: 1 }],
      parts: [],
    });
    expect(missing.body.code).toBe('stock.missing');
  });

  it('goes back, parts too, when the count is taken back', async () => {
    const wire = (await stock()).find(({ key }) => key === 'wire:28:red')!;
    const esc = {
      id: v7(),
      model: 'lapwing-esc-45',
      revision: 1,
      serial: 'L-9',
      batch: null,
      owner: null,
      origin: 'new',
      condition: 'tested',
      firmware: null,
      weightG: null,
    };
    await lead.post('/parts', esc);
    const record = sent(lead, job.jobId, {
      saw: 'kit',
      line: 'wire:28:red',
      wanted: 50,
      have: 50,
      takes: [{ stock: wire.id, quantity: 50 }],
      parts: [esc.id],
    });
    await lead.post(`/quads/${job.quadId}/records`, { records: [record] });
    expect((await lead.get(`/parts/${esc.id}`)).body.onQuad).toMatch(/^Quad/);
    const back = sent(lead, job.jobId, { saw: 'taken back', reason: 'miscounted' }, { replaces: record.id });
    await lead.post(`/quads/${job.quadId}/records`, { records: [back] });
    expect((await stock()).find(({ id }) => id === wire.id)!.onHand).toBe(wire.onHand);
    expect((await lead.get(`/parts/${esc.id}`)).body.onQuad).toBeNull();
  });

  it('keeps offcuts as lines of their own', async () => {
    await lead.post(
      '/stock',
      line({
        key: 'offcut:wire:28:red',
        offcut: true,
        onHand: 1,
        unit: 'pieces',
        doc: { awg: 28, colour: 'red', lengthMm: 90 },
      }),
    );
    expect((await stock()).filter(({ offcut }) => offcut)).toHaveLength(1);
  });

  it('loses an offcut that is cut up, has what stays of it, and as it was when that is taken back', async () => {
    const [reel, offcut] = [
      line({ key: 'wire:26:blue', name: 'blue wire', onHand: 500, doc: { awg: 26, colour: 'blue' } }),
      line({
        key: 'offcut:wire:26:blue',
        name: 'blue wire, 26 AWG, 200 mm',
        offcut: true,
        onHand: 1,
        unit: 'pieces',
        place: 'tray 4',
        doc: { awg: 26, colour: 'blue', lengthMm: 200 },
      }),
    ];
    for (const one of [reel, offcut]) await lead.post('/stock', one);
    const left = { id: v7(), lengthMm: 118 };
    const body = { saw: 'cut', from: [{ stock: offcut.id, wires: ['W1'], left }], back: [{ stock: reel.id, mm: 83 }] };
    const record = sent(lead, job.jobId, body);
    const send = () => lead.post(`/quads/${job.quadId}/records`, { records: [record] });
    expect([(await send()).status, (await send()).status]).toEqual([200, 200]);
    const blue = async () =>
      (await stock()).filter(({ key }) => key.endsWith('blue')).map(({ id, onHand }) => [id, onHand]);
    expect(new Map((await blue()) as [string, number][])).toEqual(
      new Map([
        [reel.id, 583],
        [offcut.id, 0],
        [left.id, 1],
      ]),
    );
    expect((await stock()).find(({ id }) => id === left.id)).toMatchObject({
      name: 'blue wire, 26 AWG, 118 mm',
      place: 'tray 4',
      offcut: true,
    });
    await lead.post(`/quads/${job.quadId}/records`, {
      records: [{ ...sent(lead, job.jobId, { saw: 'taken back', reason: 'not cut' }), replaces: record.id }],
    });
    expect(new Map((await blue()) as [string, number][])).toEqual(
      new Map([
        [reel.id, 500],
        [offcut.id, 1],
        [left.id, 0],
      ]),
    );
    const missing = { saw: 'cut', from: [{ stock: v7(), wires: [], left: null }], back: [] };
    expect((await post(missing)).body.code).toBe('stock.missing');
  });
});

describe('a part in hand', () => {
  const part = (over: object = {}) => newPart('lapwing-esc-45', 'L-1', { batch: 'B4', ...over });

  it('is entered, found out about, fitted, and comes off marked as such', async () => {
    const esc = part();
    await lead.post('/parts', esc);
    await lead.post(`/parts/${esc.id}/notes`, { id: v7(), body: { is: 'weight', grams: 15.4 } });
    await lead.post(`/parts/${esc.id}/notes`, {
      id: v7(),
      body: { is: 'condition', condition: 'tested', why: 'signature good' },
    });
    const state = async () => (await lead.get(`/parts/${esc.id}`)).body;
    expect(await state()).toMatchObject({ weightG: 15.4, condition: 'tested', onQuad: null });
    await post({ ...fitEsc, fitted: { ...fitEsc.fitted, part: esc.id } });
    expect((await state()).onQuad).toMatch(/^Quad/);
    await post({ do: 'take off', slot: 'ESC', to: 'stock' });
    expect(await state()).toMatchObject({ onQuad: null, origin: 'off a quad', condition: 'doubtful' });
    expect(((await state()).notes as { body: { is: string } }[]).map(({ body }) => body.is)).toEqual([
      'weight',
      'condition',
      'taken off',
    ]);
    const readings = [
      {
        black: 'BM',
        red: 'BP',
        mode: 'tone',
        length: 'chirp',
        value: null,
        passes: ['none', 'chirp'],
        band: null,
        verdict: 'pass',
      },
    ];
    await post({ saw: 'signature', slot: 'ESC', part: esc.id, readings });
    expect((await state()).notes).toContainEqual(expect.objectContaining({ body: { is: 'signature', readings } }));
  });

  it('is on its quad again, and what it was before, when it did not come off after all', async () => {
    const esc = part({ serial: 'L-2' });
    await lead.post('/parts', esc);
    const state = async () => (await lead.get(`/parts/${esc.id}`)).body;
    await post({ ...fitEsc, fitted: { ...fitEsc.fitted, part: esc.id } });
    const fitted = await state();
    for (const to of ['stock', 'scrap']) {
      const off = sent(lead, job.jobId, { do: 'take off', slot: 'ESC', to });
      await lead.post(`/quads/${job.quadId}/records`, { records: [off] });
      expect(await state()).toMatchObject({ onQuad: null, origin: 'off a quad' });
      const back = sent(lead, job.jobId, { saw: 'taken back', reason: 'did not happen' }, { replaces: off.id });
      await lead.post(`/quads/${job.quadId}/records`, { records: [back] });
      const { notes: _notes, ...known } = await state();
      expect(fitted).toMatchObject(known);
    }
    // Taken off by the wrong name of where it went: the correction moves it anew.
    const off = sent(lead, job.jobId, { do: 'take off', slot: 'ESC', to: 'stock' });
    const corrected = sent(lead, job.jobId, { do: 'take off', slot: 'ESC', to: 'scrap' }, { replaces: off.id });
    await lead.post(`/quads/${job.quadId}/records`, { records: [off, corrected] });
    expect(await state()).toMatchObject({ onQuad: null, condition: 'scrap' });
    await lead.post(`/quads/${job.quadId}/records`, {
      records: [sent(lead, job.jobId, { saw: 'taken back', reason: 'neither' }, { replaces: corrected.id })],
    });
    expect(await state()).toMatchObject({ onQuad: fitted.onQuad, origin: 'new', condition: 'untested' });
  });

  it('that nobody had entered is entered when it comes off', async () => {
    await post(fitEsc);
    await post({ do: 'take off', slot: 'ESC', to: 'stock' });
    const found = (await lead.get('/parts?q=lapwing')).body as unknown as { origin: string; fromQuad: string }[];
    expect(found.filter(({ origin }) => origin === 'off a quad')).toHaveLength(2);
  });

  it('is refused without a known model', async () => {
    expect((await lead.post('/parts', part({ model: 'nothing' }))).body.code).toBe('model.unknown');
    expect((await lead.post('/parts', part({ weightG: 'heavy' }))).status).toBe(422);
  });
});

describe('a picture', () => {
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );

  it('is kept as it came', async () => {
    expect((await lead.bytes('PUT', `/pictures/${v7()}`, 'image/png', new Uint8Array(png))).body).toMatchObject({
      width: 1,
      height: 1,
    });
  });

  it('that is none is refused, and so is one too large', async () => {
    expect((await lead.bytes('PUT', `/pictures/${v7()}`, 'image/png', 'no picture at all')).body.code).toBe(
      'picture.broken',
    );
    expect((await lead.bytes('PUT', `/pictures/${v7()}`, 'text/plain', 'x')).body.code).toBe('picture.kind');
    expect((await lead.bytes('PUT', `/pictures/${v7()}`, 'image/png', new Uint8Array(5 * 1024 * 1024))).body.code).toBe(
      'body.too.large',
    );
  });
});
