import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchSlots, buildOf, goodWires } from '../../testing/fixtures';
import { build, check, sentRecords } from './index';

const id = '019b0000-0000-7000-8000-000000000001';
const at = '2026-01-05T08:00:00.000Z';
const head = {
  id,
  jobId: id,
  step: 'land:W1.a',
  personId: id,
  deviceId: id,
  shownAt: null,
  doneAt: at,
  basisSeq: 0,
  planVersion: 1,
  how: 'did',
};
const touch = { black: 'BAT.MINUS', red: 'ESC.J1.4', mode: 'tone', power: 'off' };
const heard = { length: 'none', heldMs: null, by: 'key', wrong: 0.03, anchors: { black: id, red: null } };
const expected = {
  touch,
  from: 'computed',
  passes: ['none'],
  band: null,
  chargeAfterV: { 'CAP/BULK': 0.2 },
  because: [{ between: ['A.1', 'B.1'] }, { wire: 'W1', end: 1 }, { slot: 'ESC' }, { mate: 'JE', position: 2 }],
};
const [wire] = goodWires();
const { id: _id, ends, ...body } = wire!;

const bodies: Readonly<Record<string, object>> = {
  fit: {
    do: 'fit',
    slot: 'ESC',
    fitted: { model: 'm', revision: 1, part: null, pose: { place: 'bay', atMm: [0, 0, 1], yawDeg: 90, face: 'up' } },
  },
  'take off': { do: 'take off', slot: 'ESC', to: 'scrap' },
  land: { do: 'land', wire: 'W1', end: 1, as: ends[1], body },
  'land in a cavity': {
    do: 'land',
    wire: 'W1',
    end: 0,
    as: { at: { on: 'cavity', housing: 'H', position: 8 }, by: 'crimp' },
    body,
  },
  reheat: { do: 'reheat', wire: 'W1', end: 0, dwellS: 2.5 },
  free: { do: 'free', wire: 'W1', end: 0, left: 'lifted', now: 'insulated' },
  mate: {
    do: 'mate',
    id: 'J',
    mate: { a: { slot: 'FC', connector: 'J1' }, b: { housing: 'H' }, shift: 0, mirrored: false, glued: false },
  },
  hide: { do: 'hide', refs: ['FC.A', 'FC.J1.2'], by: 'coating', cureUntil: at },
  contact: { do: 'contact', a: 'M1.BASE', b: 'M1.A', ohms: 0.2, why: 'screw' },
  reading: {
    saw: 'reading',
    reading: { touch, meterId: id, heard, expected, verdict: 'look again', coreVersion: '1' },
  },
  look: { saw: 'look', of: 'W1.a', grade: 'redo', defects: ['ball'] },
  power: {
    saw: 'power',
    stage: 'limited, all',
    permit: id,
    limiterId: null,
    packV: 23,
    onS: 4,
    ambientC: null,
    endedBy: 'sign',
    signs: [
      { id: 'ESC.tone1', seen: true },
      { id: 'x', seen: 0.2 },
    ],
    verdict: 'stop',
  },
  'meter proof': { saw: 'meter proof', meterId: id, tipsApart: 'none', tipsTogether: 'does not stop', restV: -0.001 },
  pack: { saw: 'pack', volts: 23.1, polarity: 'right', limiterId: id },
  fault: {
    saw: 'fault',
    fault: {
      symptom: 's',
      site: { wire: 'W1' },
      cause: '',
      partsReplaced: [id],
      done: '',
      minutes: 3,
      costMinor: 100,
      state: 'found',
    },
  },
  caution: { saw: 'caution', id: 'hot iron' },
  cut: {
    saw: 'cut',
    from: [{ stock: id, wires: ['W1'], left: { id, lengthMm: 60 } }],
    back: [{ stock: id, mm: 40 }],
  },
  length: { saw: 'length', wire: 'BZ-P', mm: 62, reckonedMm: 70 },
  gap: { saw: 'gap', kind: 'gap below', slots: ['ESC'], models: ['lapwing@1'], mm: 1.4, reckonedMm: 2.2 },
  'taken back': { saw: 'taken back', reason: 'no' },
};
const send = (given: unknown) => check(sentRecords, { records: [{ ...head, body: given }] });

describe('records', () => {
  it.each(Object.entries(bodies))('take %s', (_name, given) => {
    expect(send(given)).toMatchObject({ ok: true });
  });

  it.each(Object.entries(bodies))('refuse %s with a key more or a key less, and say where', (_name, given) => {
    expect(send({ ...given, odd: 1 })).toMatchObject({ ok: false });
    for (const key of Object.keys(given)) {
      const { [key as never]: _gone, ...rest } = given as Record<string, unknown>;
      const checked = send(rest);
      if (checked.ok) expect(['tool', 'solderLot', 'cureUntil']).toContain(key);
      else expect(checked.mistakes.every(({ path }) => path.startsWith('records.0.body'))).toBe(true);
    }
  });

  it('refuse a permit: only the server gives them', () => {
    expect(send({ saw: 'permit', gate: 'first power', checks: [], waivers: [] })).toMatchObject({ ok: false });
  });

  it('survive anything at all without throwing', () => {
    fc.assert(
      fc.property(fc.anything(), (given) => {
        expect(send(given).ok).toBe(false);
        expect(check(sentRecords, given).ok).toBe(false);
      }),
    );
  });

  it('convert nothing', () => {
    expect(send({ ...bodies.pack, volts: '23.1' })).toMatchObject({
      ok: false,
      mistakes: [{ path: 'records.0.body.volts', code: 'number.base' }],
    });
  });
});

it('a Build passes its own schema, and names what is wrong in another', () => {
  const good = buildOf(benchSlots, goodWires());
  expect(check(build, good).ok).toBe(true);
  const bad = check(build, {
    ...good,
    wires: { ...good.wires, T: { ...good.wires.T, awg: 99, ends: [good.wires.T!.ends[0]] } },
  });
  expect(bad.ok ? [] : bad.mistakes.map(({ path }) => path)).toEqual(['wires.T.awg', 'wires.T.ends']);
});
