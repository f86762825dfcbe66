/** The permit on a real MariaDB, asked for after everything that a request made by hand can claim. */
import type { Act, Note, QuadRecord } from '@junctor/core';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop, Worked } from '../testing';
import { askPermit, firstLead, logOf, openJob, sent, startTestShop, workUntil } from '../testing';

let shop: TestShop;
let lead: Client;
let worked: Worked;
const log = () => logOf(lead, worked.quadId);
const post = (body: object, over: object = {}) =>
  lead.post(`/quads/${worked.quadId}/records`, { records: [sent(lead, worked.jobId, body, over)] });
const missing = async () => {
  const reply = await askPermit(worked);
  return reply.status === 200 ? [] : (reply.body.context as { missing: string[] }).missing;
};
const stands = async (pattern: RegExp) => expect((await missing()).join('\n')).toMatch(pattern);

type Reading = Extract<Note, { saw: 'reading' }>;
const isReading = (record: QuadRecord): record is QuadRecord & { body: Reading } =>
  'saw' in record.body && record.body.saw === 'reading';

/** The newest reading across the main leads, red on plus, as it was sent. */
async function mains(): Promise<QuadRecord & { body: Reading }> {
  return (await log()).filter(isReading).findLast(({ body: { reading } }) => {
    const { black, red } = reading.touch;
    return black === 'BAT.MINUS' && red === 'BAT.PLUS';
  })!;
}

/** A reading sent anew, with something else than is true in it. */
async function readAgain(over: (reading: Reading['reading']) => object): Promise<void> {
  const { body } = await mains();
  const reply = await post({ saw: 'reading', reading: { ...body.reading, ...over(body.reading) } });
  expect(reply.status, JSON.stringify(reply.body)).toBe(200);
}

/** Everything that is open done again, up to the permit. */
const again = () => workUntil(worked, 'permit');

beforeAll(async () => {
  shop = await startTestShop();
  lead = await firstLead(shop.url);
  worked = { shop, client: lead, ...(await openJob(lead)) };
  await again();
}, 120_000);
afterAll(() => shop.stop());

describe('a short across the main leads', () => {
  const short = { length: 'does not stop', heldMs: 2500, by: 'key', wrong: 0, anchors: { black: null, red: null } };
  const forgeries: readonly [string, (reading: Reading['reading']) => object][] = [
    ['an expectation that is known to nobody', () => ({ from: 'none', passes: [] })],
    ['an expectation that lets all pass', () => ({ passes: ['none', 'chirp', 'does not stop'] })],
    ['an expectation without a band', () => ({ from: 'maker', band: null, passes: ['does not stop'] })],
  ];

  it.each(forgeries)('is one, whatever the sender expected: %s', async (_name, over) => {
    await readAgain(({ expected }) => ({
      heard: short,
      expected: { ...expected, ...over } as object,
      verdict: 'pass',
    }));
    const { judged } = (await log()).at(-1)!;
    expect(judged).toMatchObject({ reading: { verdict: 'stop' } });
    expect(judged!.differs.length).toBeGreaterThan(0);
    await stands(/Short between \+ and −/);
  });

  it('is waived by nobody', async () => {
    await readAgain(() => ({ heard: short, verdict: 'stop' }));
    const finding = `short between the main leads:${(await mains()).id}`;
    const waived = await post({ saw: 'waiver', finding, severity: 'stop', reason: 'it is fine' });
    expect(waived.body.code).toBe('waiver.refused');
  });

  it('does not go away by being taken back, corrected or called less', async () => {
    await readAgain(() => ({ heard: short, verdict: 'stop' }));
    const bad = await mains();
    expect((await post({ saw: 'caution', id: 'ventilated' }, { replaces: bad.id })).body.code).toBe('record.kind');
    const good = { ...bad.body.reading, heard: { ...short, length: 'none' }, verdict: 'pass' };
    expect((await post({ saw: 'reading', reading: good }, { replaces: bad.id })).status).toBe(200);
    await stands(/Short between \+ and −/);
    const corrected = (await log()).at(-1)!;
    expect((await post({ saw: 'taken back', reason: 'a slip' }, { replaces: corrected.id })).status).toBe(200);
    await stands(/Short between \+ and −/);
    await again();
    expect(await missing()).toEqual([]);
  });
});

describe('a reading that counts for nothing', () => {
  const cases: readonly [string, (reading: Reading['reading']) => object][] = [
    ['by a meter that is not in the shop', () => ({ meterId: v7() })],
    [
      'with a number where a tone has a length',
      ({ heard: { length: _length, ...heard } }) => ({ heard: { ...heard, value: 9, unit: 'ohm' } }),
    ],
    [
      'with the expectation of another touch',
      ({ expected, touch }) => ({ expected: { ...expected, touch: { ...touch, red: 'ESC.B+' } } }),
    ],
    ['on a tone that nobody recorded', ({ heard }) => ({ heard: { ...heard, anchors: { black: v7(), red: v7() } } })],
  ];

  it.each(cases)('%s is kept, and proves nothing', async (_name, over) => {
    await again();
    expect(await missing()).toEqual([]);
    await readAgain((reading) => ({ ...over(reading), verdict: 'pass' }));
    expect((await log()).at(-1)!.judged).toMatchObject({ reading: { verdict: 'record only' } });
    await stands(/Black on BAT −, red on BAT \+: Kept as it was read/);
  });
});

describe('an act', () => {
  const act = async (): Promise<Act> => {
    const last = (await log()).findLast(({ body }) => 'do' in body && body.do === 'reheat');
    return (last?.body ?? { do: 'reheat', wire: 'M1-A', end: 1, dwellS: null }) as Act;
  };

  it.each([
    ['called found', { how: 'found' }],
    ['of 1970', { doneAt: '1970-01-01T00:00:00.000Z' }],
    ['of 2099', { doneAt: '2099-01-01T00:00:00.000Z' }],
    ['that claims to have seen everything', { basisSeq: 1e9 }],
  ])('%s wants the main leads and its joint again', async (_name, over) => {
    await again();
    expect((await post(await act(), over)).status).toBe(200);
    await stands(/Black on BAT −, red on BAT \+: Worked on since/);
    await stands(/Look at/);
    await again();
    expect(await missing()).toEqual([]);
  });

  it('that is taken back wants the main leads again', async () => {
    await again();
    await post(await act());
    const { id } = (await log()).at(-1)!;
    await again();
    expect(await missing()).toEqual([]);
    expect((await post({ saw: 'taken back', reason: 'never happened' }, { replaces: id })).status).toBe(200);
    await stands(/Black on BAT −, red on BAT \+/);
  });
});

describe('power', () => {
  const signs = (records: readonly QuadRecord[]) =>
    records.flatMap(({ body }) => ('saw' in body && body.saw === 'permit' ? [body] : [])).at(-1)!.for!;
  const power = async (over: object) => {
    await again();
    const reply = await askPermit(worked);
    expect(reply.status, JSON.stringify(reply.body)).toBe(200);
    const wanted = signs(await log());
    const seen = (await goodSigns()).map((id) => ({ id, seen: true }));
    const body = {
      saw: 'power',
      stage: wanted.stage,
      permit: reply.body.id,
      limiterId: wanted.limiterId,
      packV: wanted.packV,
      onS: 8,
      ambientC: null,
      endedBy: 'done',
      signs: seen,
      verdict: 'pass',
      ...over,
    };
    expect((await post(body)).status).toBe(200);
    return (await log()).at(-1)!;
  };
  let known: string[] | null = null;
  async function goodSigns(): Promise<string[]> {
    if (known) return known;
    const { expectedSigns, fold, makeCatalogue, signId } = await import('@junctor/core');
    const { asBuilt } = fold(await log(), makeCatalogue(shop.shop.catalogue.models));
    return (known = expectedSigns(asBuilt).map(signId));
  }

  it.each([
    ['ended by heat', { endedBy: 'heat' }],
    ['without its signs', { signs: [] }],
    ['of sixty volts', { packV: 60 }],
    ['for eighty thousand seconds', { onS: 80_000 }],
    ['without a limiter', { limiterId: null }],
  ])('%s is no pass, whatever was said', async (_name, over) => {
    expect((await power(over)).judged).toMatchObject({ power: 'stop' });
    await stands(/Powered|main leads|BAT/);
  });

  it.each([
    ['at another stage', { stage: 'pack' }],
    ['through another limiter', { limiterId: v7() }],
    ['without a permit', { permit: null }],
  ])('%s is power without a permit', async (_name, over) => {
    await power(over);
    await stands(/Powered without a permit/);
    const { id } = (await log()).at(-1)!;
    await post({ saw: 'taken back', reason: 'nobody saw it' }, { replaces: id });
    await stands(/Powered without a permit/);
  });

  it('under its permit, with all signs seen, is a pass', async () => {
    expect((await power({})).judged).toEqual({ power: 'pass', differs: [] });
  });
});

describe('a plan', () => {
  it('without a battery lead gets no permit, and says why', async () => {
    const { plan } = (await lead.get(`/jobs/${worked.jobId}`)).body as unknown as {
      plan: { version: number; target: { slots: Record<string, object>; wires: Record<string, { ends: object[] }> } };
    };
    const changes = [
      { path: 'slots/BAT', before: plan.target.slots.BAT, after: null },
      ...Object.entries(plan.target.wires)
        .filter(([, wire]) => JSON.stringify(wire).includes('"BAT.'))
        .map(([id, before]) => ({ path: `wires/${id}`, before, after: null })),
    ];
    const reply = await lead.post(`/jobs/${worked.jobId}/plan-changes`, { version: plan.version, changes });
    expect(reply.status, JSON.stringify(reply.body)).toBe(200);
    await stands(/This plan has no battery lead/);
  });
});

it('an act that arrives after closing is kept, and shown to a lead until there is another job', async () => {
  const made = await openJob(lead);
  const own = { shop, client: lead, ...made };
  await workUntil(own, null);
  expect((await lead.post(`/jobs/${made.jobId}/close`, {})).status).toBe(204);
  expect((await lead.get('/floor/late')).body).toEqual([]);
  const late = sent(lead, made.jobId, { do: 'reheat', wire: 'M1-A', end: 1, dwellS: null });
  expect((await lead.post(`/quads/${made.quadId}/records`, { records: [late] })).status).toBe(200);
  expect((await lead.get('/floor/late')).body).toMatchObject([{ quadId: made.quadId, acts: 1, person: 'Lead' }]);
  expect((await askPermit(own)).body.context).toMatchObject({ missing: ['This job is closed: open another one'] });
}, 60_000);
