/** A quad that comes back: what counts, what a short closes, how a part is replaced, plugs that were pulled. */
import { shippedModels, shippedTemplate } from '@junctor/catalogue';
import type { Act, Note, Plan } from '@junctor/core';
import { expectedSigns, makeCatalogue, openPlugs, planFromBook, standingShort, stepWords } from '@junctor/core';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Bench, Walk } from './bench';
import { plainBench } from './plainBench';
import { seededIds } from './seededIds';
import { record, startWalk, walk } from './virtualTechnician';

const catalogue = makeCatalogue(shippedModels());
const first = plainBench({
  plan: { ...shippedTemplate('quad-serial-6s').plan, jobId: 'first', version: 1 },
  catalogue,
  packV: 23,
  newId: seededIds(3),
});
const startMs = Date.UTC(2026, 1, 2, 8);
const crash: Note = { saw: 'history', died: 'crash', changedLast: '', overloadedS: null };
const untouched: Note = { saw: 'untouched', since: 'first' };
const passed = ({ state }: Walk) => state.gates.flatMap((gate) => (gate.state === 'passed' ? [gate.id] : []));
const verbs = ({ state }: Walk) => state.steps.map(({ verb }) => verb);

let flown: Walk;
let repair: Bench;
let opened: Walk;
const doing = (...bodies: (Act | Note)[]) => record(repair, opened, null, bodies);

beforeAll(() => {
  flown = walk(first, startWalk(first, startMs), () => false);
  const plan: Plan = { ...planFromBook(flown.state.asBuilt.build, first.plan, true)!, jobId: 'repair', version: 1 };
  repair = { ...first, jobId: 'repair', plan };
  opened = startWalk(repair, flown.nowMs + 86_400_000, flown.records);
}, 60_000);

describe('a job opened from the book', () => {
  it('has nothing to build, and passes nothing of what was proved before', () => {
    expect(flown.state.gates.every(({ state }) => state === 'passed')).toBe(true);
    expect(verbs(opened)).not.toContain('land');
    expect(passed(opened)).toEqual([]);
    expect(opened.state.gates.find(({ id }) => id === 'motors')!.state).toBe('not in this job');
  });

  it('counts the readings of the job before when nothing has touched it since, and never after a crash', () => {
    const open = (now: Walk) => now.state.steps.filter(({ verb, done }) => verb === 'touch' && !done).length;
    expect(open(opened)).toBeGreaterThan(3);
    expect(open(doing(untouched))).toBe(0);
    expect(open(doing(untouched, crash))).toBe(open(opened));
    expect(open(doing(crash, untouched))).toBe(open(opened));
    const worked = doing(untouched, { do: 'reheat', wire: 'BAT-PLUS', end: 1, dwellS: null });
    expect(open(worked)).toBeGreaterThan(0);
  });
});

describe('a short between the main leads', () => {
  const reading = (value: number): Note => {
    const touch = { black: 'ESC.BM', red: 'ESC.BP', mode: 'ohms', power: 'off' } as const;
    const heard = {
      value,
      unit: 'ohm' as const,
      heldMs: null,
      by: 'key' as const,
      wrong: 0.01,
      anchors: { black: null, red: null },
    };
    const expected = { touch, from: 'none' as const, passes: [], band: null, chargeAfterV: {}, because: [] };
    return {
      saw: 'reading',
      reading: { touch, meterId: 'm', heard, expected, verdict: 'record only', coreVersion: '1' },
    };
  };

  it('stands wherever on the two nets it was read, whatever was expected, and outlives what is done and said', () => {
    const two = doing(reading(2));
    expect(standingShort(two.state.log)).not.toBeNull();
    expect(two.state.findings[0]).toMatchObject({ severity: 'kill', rule: 'short between the main leads' });
    expect(standingShort(doing(reading(14_000)).state.log)).toBeNull();
    const lifted = record(repair, two, null, [{ do: 'free', wire: 'BAT-PLUS', end: 1, left: 'clean', now: 'bare' }]);
    expect(standingShort(lifted.state.log)).not.toBeNull();
    expect(passed(record(repair, two, null, [untouched]))).toEqual([]);
    const next = { ...repair, jobId: 'next', plan: { ...repair.plan, jobId: 'next' } };
    expect(passed(startWalk(next, two.nowMs + 1000, two.records))).toEqual([]);
  });

  it('is over when both main-lead touches have been read good after it', () => {
    const end = walk(repair, doing(reading(2)), () => false);
    expect(standingShort(end.state.log)).toBeNull();
    expect(end.state.current).toBeNull();
  });
});

describe('a replaced part', () => {
  it('comes off with all that hangs on it, its motors are read, then everything goes on again', () => {
    const note: Note = { saw: 'replace', slot: 'ESC', part: null, oldSerial: null, oldTo: 'scrap', reason: '' };
    const decided = doing(note);
    const said = decided.state.steps.map((step) => stepWords(step, decided.state));
    for (const sentence of [
      'Unplug ESC J1 to FC',
      'Take lead A of motor M1 off the ESC, A1',
      'Take the ESC off',
      'Read the motor M3, its leads off: its signature',
      'Put the ESC in its place',
      'Solder lead C of motor M4 to the ESC, pad C4',
    ])
      expect(said).toContain(sentence);
    const end = walk(repair, decided, () => false);
    expect(end.state.asBuilt.build.wires).toEqual(
      Object.fromEntries(Object.keys(repair.plan.target.wires).map((id) => [id, expect.anything() as unknown])),
    );
    expect(end.records.filter(({ body }) => 'do' in body && body.do === 'take off')).toHaveLength(1);
    expect(end.state.current).toBeNull();
  });

  it('of one motor asks for little again', () => {
    const one = doing({ saw: 'replace', slot: 'M2', part: null, oldSerial: null, oldTo: 'customer', reason: '' });
    const whole = repair.list.touches.length;
    expect(one.state.touches.touches.length).toBeLessThan(whole / 3);
    expect(one.state.touches.touches.length + one.state.touches.history.length).toBe(whole);
  });
});

describe('plugs that were pulled', () => {
  it('stand on the ledger and hold up power until they are home, or said to stay open', () => {
    const pulled = doing({ do: 'unmate', id: 'JE' });
    const ledger = (now: Walk) => openPlugs({ ...now.state, jobId: 'repair' });
    expect(ledger(pulled).map(({ mate, stays }) => [mate, stays])).toEqual([['JE', null]]);
    const blocking = (now: Walk) => now.state.objections.some((line) => line.includes('plug ESC J1 to FC'));
    expect(blocking(pulled)).toBe(true);
    const stays = record(repair, pulled, null, [
      { saw: 'stays open', mate: 'JE', reason: 'bench test without the controller' },
    ]);
    expect(blocking(stays)).toBe(false);
    expect(ledger(stays)[0]!.stays).not.toBeNull();
    const again = record(repair, stays, null, [
      { do: 'mate', id: 'JE', mate: repair.plan.target.mates.JE! },
      { do: 'unmate', id: 'JE' },
    ]);
    expect(blocking(again)).toBe(true);
  });
});

it('a channel whose motor is not joined has no tone to wait for', () => {
  const tones = (now: Walk) => expectedSigns(now.state.asBuilt).filter(({ sign }) => sign.shows === 'tone').length;
  expect(tones(opened)).toBe(4);
  expect(tones(doing({ do: 'free', wire: 'M2-B', end: 1, left: 'clean', now: 'bare' }))).toBe(3);
});
