import type { ModelIndexLine, PartModel } from '@junctor/core';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { findable, findModels } from '../../ui/findModels';
import { importText } from '../../files/importFile';
import { factWords, readFact, sheetFacts, withFact } from './sheetFacts';

const line = (id: string, name: string, over: Partial<ModelIndexLine> = {}): ModelIndexLine => ({
  id,
  name,
  revision: 1,
  kind: 'controller',
  maker: 'Skerrie Boards',
  massG: 5,
  terminals: 9,
  retired: false,
  ...over,
});

describe('finding a part model', () => {
  const all = findable([
    line('a', 'Curlew 30'),
    line('b', 'Curlew 40', { retired: true }),
    line('c', 'Heron', { kind: 'video unit', maker: 'Tarnside' }),
  ]);
  it.each([
    ['', ['a', 'c']],
    ['curlew', ['a']],
    ['SKERRIE cur', ['a']],
    ['video', ['c']],
    ['heron skerrie', []],
    ['  ', ['a', 'c']],
  ])('“%s”', (typed, wanted) => {
    expect(findModels(all, typed, false).map(({ id }) => id)).toEqual(wanted);
  });
  it('shows retired ones when asked', () => {
    expect(findModels(all, 'curlew', true)).toHaveLength(2);
  });
});

describe('what is known of a model', () => {
  const model = {
    id: 'x',
    revision: 3,
    connectors: [],
    ports: [{ id: 'ANT', kind: 'aerial' }],
    massG: 5,
    speed: { kv: 900 },
    knownFrom: { '': 'typical', '/elements/0/limitA': 'sheet' },
    elements: [
      { id: 'REG5', is: 'regulator', limitA: 2, offOhms: 1300, input: 'VB' },
      { id: 'CLAMP-TX1', is: 'diode', forwardV: 0.56 },
      { id: 'C5', is: 'capacitor', farads: 68e-6 },
    ],
  } as unknown as PartModel;

  it('are listed with unit and certainty; clamps alike are left out', () => {
    expect(
      sheetFacts(model)
        .filter(({ value }) => value !== null)
        .map(({ pointer, unit, sure }) => `${pointer} ${unit} ${sure}`),
    ).toEqual([
      '/massG g typical',
      '/speed/kv turns a minute and volt typical',
      '/elements/0/limitA A at most sheet',
      '/elements/0/offOhms Ω unpowered typical',
      '/elements/2/farads F typical',
    ]);
  });

  it('name what the sheet leaves open', () => {
    const open = sheetFacts(model).filter(({ value }) => value === null);
    expect(open.map((fact) => `${fact.what}: ${factWords(fact)}`)).toEqual([
      'REG5: heat that its package bears',
      'C5: tolerance',
      'ANT: band',
    ]);
  });

  it.each([
    ['/ports/0/radio/bandMHz', '5650 to 5950', [5650, 5950]],
    ['/ports/0/radio/bandMHz', '5.65k-5.95k', [5650, 5950]],
    ['/ports/0/radio/bandMHz', '5950 to 5650', undefined],
    ['/ports/0/radio/bandMHz', '5650', undefined],
    ['/ports/0/radio/bandMHz', '', null],
    ['/elements/0/packageW', '0.8', 0.8],
    ['/elements/0/packageW', 'warm', undefined],
    ['/elements/2/tolerance', '10 %', 0.1],
    ['/massG', '', undefined],
  ])('%s reads “%s”', (pointer, typed, value) => {
    expect(
      readFact(
        sheetFacts(model).find((fact) => fact.pointer === pointer)!,
        typed,
      ),
    ).toEqual(value);
  });

  it('are said where nothing was, and taken back', () => {
    const banded = withFact(model, '/ports/0/radio/bandMHz', [5650, 5950], 'sheet');
    expect(banded.ports[0]).toEqual({ id: 'ANT', kind: 'aerial', radio: { bandMHz: [5650, 5950] } });
    expect(sheetFacts(banded).map(factWords)).toContain('5650 to 5950 MHz');
    expect(withFact(banded, '/ports/0/radio/bandMHz', null, 'sheet').ports[0]).toEqual({ id: 'ANT', kind: 'aerial' });
    expect(banded.knownFrom['/ports/0/radio/bandMHz']).toBe('sheet');
    expect(withFact(banded, '/ports/0/radio/bandMHz', null, 'sheet').knownFrom).toEqual(model.knownFrom);
    const wants = withFact(model, '/wantsCapacitor/farads', 0.00047, 'sheet');
    expect(wants.wantsCapacitor).toEqual({ farads: 0.00047 });
    expect(withFact(wants, '/wantsCapacitor/farads', null, 'sheet').wantsCapacitor).toBeUndefined();
  });

  it('change in the next revision only', () => {
    const next = withFact(model, '/elements/0/limitA', 1.4, 'measured');
    expect([next.revision, next.elements[0], next.knownFrom['/elements/0/limitA']]).toEqual([
      4,
      expect.objectContaining({ limitA: 1.4 }),
      'measured',
    ]);
    expect(model.elements[0]).toMatchObject({ limitA: 2 });
  });
});

describe('sending a catalogue file', () => {
  afterEach(() => vi.unstubAllGlobals());
  const answering = (chunks: readonly string[], init: ResponseInit = {}) =>
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response(
          new ReadableStream<Uint8Array<ArrayBuffer>>({
            start(controller) {
              for (const chunk of chunks) controller.enqueue(new TextEncoder().encode(chunk));
              controller.close();
            },
          }),
          init,
        ),
      ),
    );

  it('follows progress however the lines are cut, and ends with what was added', async () => {
    answering(['{"done":1,"of', '":4}\n{"done":3,"of":4}\n{"add', 'ed":4,"known":0}\n']);
    const seen: number[] = [];
    expect(await importText('{}', (done) => seen.push(done))).toEqual({ ok: true, added: 4, known: 0 });
    expect(seen).toEqual([1, 3]);
  });

  it('ends with every fault when it is refused', async () => {
    answering([
      '{"refused":"Nothing was stored: 1 faults","mistakes":[{"path":"models.0.id","message":"is wrong"}]}\n',
    ]);
    expect(await importText('{}', () => {})).toEqual({
      ok: false,
      message: 'Nothing was stored: 1 faults',
      faults: [{ path: 'models.0.id', message: 'is wrong' }],
    });
  });

  it('says when the answer broke off, when the server refuses at once, and when there is no answer', async () => {
    answering(['{"done":1,"of":4}\n']);
    expect(await importText('{}', () => {})).toMatchObject({
      ok: false,
      message: expect.stringContaining('broke off') as unknown,
    });
    answering(['{"code":"catalogue.format","message":"This is no catalogue file"}'], { status: 422 });
    expect(await importText('{}', () => {})).toMatchObject({ ok: false, message: 'This is no catalogue file' });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    expect(await importText('{}', () => {})).toMatchObject({
      ok: false,
      message: expect.stringContaining('No answer') as unknown,
    });
  });
});
