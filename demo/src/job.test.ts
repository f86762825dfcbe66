/** A whole job by a virtual technician: gates, permits, staleness, the plan that follows a wrong pad. */
import type { Act, Note, QuadRecord, Step } from '@junctor/core';
import { deriveJob, fold, makeCatalogue, rebasePlan, applyPlanChanges, notesOf, validPermit } from '@junctor/core';
import { beforeAll, describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';
import { seededIds } from './seededIds';
import type { Walk } from './bench';
import { plainBench } from './plainBench';
import { bodiesFor } from './goodWork';
import { record, startWalk, walk } from './virtualTechnician';

const catalogue = makeCatalogue(shippedModels());
const plan = { ...shippedTemplate('quad-serial-6s').plan, jobId: 'job', version: 1 };
const bench = plainBench({ plan, catalogue, packV: 23, newId: seededIds(1) });
const { list } = bench;
const startMs = Date.UTC(2026, 0, 5, 8);
const gate = (now: Walk, id: string) => now.state.gates.find((known) => known.id === id)!;
const doing = (now: Walk, ...bodies: (Act | Note)[]) => record(bench, now, null, bodies);
const reheat = (wire: string): Act => ({ do: 'reheat', wire, end: 1, dwellS: null });

let built: Walk;
let permitted: Walk;
let powered: Walk;
beforeAll(() => {
  built = walk(bench, startWalk(bench, startMs), ({ verb }) => verb === 'prove');
  permitted = walk(bench, built, ({ verb }) => verb === 'power');
  powered = walk(bench, permitted, () => false);
}, 60_000);

describe('the cord', () => {
  it('passes each gate in order and ends with nothing open', () => {
    expect(built.state.gates.map(({ id, state }) => `${id} ${state}`)).toEqual([
      'kit passed',
      'layout passed',
      'power path passed',
      'motors passed',
      'controller passed',
      'continuity blocking',
      'first power blocking',
      'hand-over blocking',
    ]);
    expect(powered.state.gates.every(({ state }) => state === 'passed')).toBe(true);
    expect(powered.state.current).toBeNull();
    expect(powered.state.findings).toEqual([]);
  });

  it('keeps the same step ids however far the work is', () => {
    expect(powered.state.steps.map(({ id }) => id)).toEqual(startWalk(bench, startMs).state.steps.map(({ id }) => id));
  });
});

describe('work after a gate opens it again', () => {
  it('asks for the look, the nets and the main leads again, and names the act', () => {
    const reworked = doing(powered, reheat('M2-A'));
    expect(gate(reworked, 'motors')).toMatchObject({
      state: 'blocking',
      missing: ['look:M2'],
      unpassedBy: reworked.records.at(-1)!.id,
    });
    const open = gate(reworked, 'continuity').missing;
    expect(open).toContain('touch:BAT.MINUS~BAT.PLUS~tone');
    expect(open.some((id) => id.includes('ESC.A2'))).toBe(true);
    expect(open.some((id) => id.includes('ESC.A1'))).toBe(false);
    expect(reworked.state.current?.id).toBe('look:M2');
  });

  const mainsAfter = (records: readonly QuadRecord[]) =>
    deriveJob({ jobId: 'job', plan, log: fold(records, catalogue), catalogue, list }).steps.find(
      ({ id }) => id === 'touch:BAT.MINUS~BAT.PLUS~tone',
    )?.done;
  const odd = (given: Partial<QuadRecord>): QuadRecord => ({
    ...powered.records[0]!,
    id: 'odd',
    seq: powered.records.length + 1,
    body: reheat('M1-A'),
    ...given,
  });

  it('does so whatever the clock of the tablet says, and no clock does it alone', () => {
    for (const doneAt of ['1970-01-01T00:00:00.000Z', '2099-01-01T00:00:00.000Z'])
      expect(mainsAfter([...powered.records, odd({ doneAt })])).toBe(false);
    const [first, ...rest] = powered.records;
    expect(mainsAfter([{ ...first!, doneAt: '2099-01-01T00:00:00.000Z' }, ...rest])).toBe(true);
  });

  it('does so for an act of another tablet that whoever read had not seen', () => {
    const read = powered.records.find(({ body }) => 'saw' in body && body.saw === 'reading')!;
    const unseen = odd({ seq: read.seq! - 0.5, deviceId: 'another' });
    expect(mainsAfter([...powered.records, unseen])).toBe(true);
    const behind = powered.records.map((record) => ({ ...record, basisSeq: Math.min(record.basisSeq, read.seq! - 2) }));
    expect(mainsAfter([...behind, unseen])).toBe(false);
    expect(mainsAfter([...behind, { ...unseen, deviceId: read.deviceId }])).toBe(true);
  });

  it('does so for an act that is taken back', () => {
    const act = powered.records.findLast(({ body }) => 'do' in body)!;
    const unsaid = odd({ replaces: act.id, body: { saw: 'taken back', reason: 'no' } });
    expect(mainsAfter([...powered.records, unsaid])).toBe(false);
  });
});

describe('the permit', () => {
  const held = (now: Walk) => validPermit(now.state.log, 'job', plan.version) !== null;
  const permit = () => permitted.records.at(-1)!;
  const reading = () => notesOf(permitted.state.log, 'reading')[0]!.record.body;

  it('holds until something happens', () => {
    expect(permit().body).toMatchObject({ saw: 'permit' });
    expect(held(permitted)).toBe(true);
    expect(held(doing(permitted, { saw: 'caution', id: 'ventilated' }))).toBe(true);
  });

  it.each<[string, () => Act | Note]>([
    ['an act', () => reheat('W1')],
    ['a stop reading', () => ({ ...reading(), reading: { ...reading().reading, verdict: 'stop' } })],
    [
      'an open fault',
      () => ({
        saw: 'fault',
        fault: {
          symptom: 'x',
          site: { slot: 'ESC' },
          cause: '',
          partsReplaced: [],
          done: '',
          minutes: 0,
          costMinor: 0,
          state: 'found',
        },
      }),
    ],
    ['a power-up', () => bodiesFor(bench, permitted, permitted.state.current!)[0]!],
  ])('ends with %s', (_what, body) => {
    expect(held(doing(permitted, body()))).toBe(false);
  });

  it('ends with a correction, and with another plan', () => {
    const [first] = permitted.records;
    const corrected = [
      ...permitted.records,
      {
        ...first!,
        id: 'fix',
        seq: permitted.records.length + 1,
        replaces: first!.id,
        body: { saw: 'taken back', reason: '' } as Note,
      },
    ];
    const state = deriveJob({ jobId: 'job', plan, log: fold(corrected, catalogue), catalogue, list });
    expect(validPermit(state.log, 'job', plan.version)).toBeNull();
    expect(validPermit(permitted.state.log, 'job', plan.version + 1)).toBeNull();
  });

  const of = (change: (body: Extract<Note, { saw: 'permit' }>) => object) => {
    const given = permit();
    const body = { ...given.body, ...change(given.body as Extract<Note, { saw: 'permit' }>) } as Note;
    return fold([...permitted.records.slice(0, -1), { ...given, body }], catalogue);
  };

  it('that is not spent lapses when a newer version comes, which may ask for more', () => {
    const older = of(({ for: wanted }) => ({ for: { ...wanted, coreVersion: 'older' } }));
    expect(validPermit(older, 'job', plan.version)).toBeNull();
    expect(
      validPermit(
        of(() => ({ for: undefined })),
        'job',
        plan.version,
      ),
    ).toBeNull();
  });

  it.each<[string, () => object, () => Partial<QuadRecord>]>([
    ['another stage', () => ({ stage: 'pack' }), () => ({})],
    ['another limiter', () => ({ limiterId: 'another' }), () => ({})],
    ['another pack', () => ({ packV: 16.1 }), () => ({})],
    ['an hour later', () => ({}), () => ({ doneAt: new Date(permitted.nowMs + 3600_000).toISOString() })],
    [
      'another tablet, much later',
      () => ({}),
      () => ({ deviceId: 'other', arrivedAt: new Date(permitted.nowMs + 9e6).toISOString() }),
    ],
  ])('is not for %s', (_what, change, over) => {
    const [power] = bodiesFor(bench, permitted, permitted.state.current!) as [Note & { saw: 'power' }];
    const isUnpermitted = (other: object, by: Partial<QuadRecord>) => {
      const record = { ...doing(permitted, power).records.at(-1)!, ...by };
      const log = fold([...permitted.records, { ...record, body: { ...power, ...other } as Note }], catalogue);
      return log.unpermitted.has(record.id);
    };
    expect(isUnpermitted({}, {})).toBe(false);
    expect(isUnpermitted(change(), over())).toBe(true);
  });

  it('is missed: power without it is kept, and stays a stop until the main leads are read again', () => {
    const [power] = bodiesFor(bench, permitted, permitted.state.current!) as [Note & { saw: 'power' }];
    const without = doing(built, { ...power, permit: null });
    expect(without.state.findings.map(({ rule, severity }) => `${severity} ${rule}`)).toEqual([
      'stop power without a permit',
    ]);
    const exchanged = list.touches.findIndex(({ across }) => across === 'main leads exchanged');
    const beyondMains = (step: Step) => step.verb === 'touch' && step.listed === list.touches[exchanged + 1];
    expect(walk(bench, without, beyondMains).state.findings).toEqual([]);
    const { key } = without.state.findings[0]!;
    const waived = doing(without, {
      saw: 'waiver',
      finding: key,
      severity: 'stop',
      reason: 'limiter at 0.1 A, nothing warm',
    });
    expect([waived.state.findings, waived.state.waived.map(({ finding }) => finding.key)]).toEqual([[], [key]]);
    expect(without.state.objections).toContain(without.state.findings[0]!.message);
    expect(waived.state.objections).not.toContain(without.state.findings[0]!.message);
  });

  it('is not to be had while anything is open, and says what', () => {
    expect(built.state.objections[0]).toBe('Prove the meter, then measure the main leads');
    expect(permitted.state.objections).toEqual([]);
    const faulty = doing(permitted, {
      saw: 'fault',
      fault: {
        symptom: 'smell',
        site: { slot: 'ESC' },
        cause: '',
        partsReplaced: [],
        done: '',
        minutes: 0,
        costMinor: 0,
        state: 'found',
      },
    });
    expect(faulty.state.objections).toEqual([
      'Mend the fault: smell: Nothing has been done at its place since it was found',
    ]);
  });
});

describe('a meter that is not proved', () => {
  it.each([
    [{ restV: 0.021 }, 'bleed'],
    [{ tipsApart: 'does not stop' }, 'tips apart'],
    [{ tipsTogether: 'none' }, 'tips together'],
  ] as const)('%o keeps continuity closed', (over, words) => {
    const proof: Note = {
      saw: 'meter proof',
      meterId: 'meter',
      tipsApart: 'none',
      tipsTogether: 'does not stop',
      restV: 0.001,
      ...over,
    };
    const { current } = doing(built, proof).state;
    expect(current?.id).toBe('prove:meter');
    expect(current?.blockedReason).toContain(words);
  });
});

describe('a pack that does not fit', () => {
  it.each([
    [25.3, 'right', 'more than 6 cells'],
    [17.9, 'right', 'less than 6 cells'],
    [23, 'reversed', 'reversed'],
  ] as const)('%d V, %s', (volts, polarity, words) => {
    const { steps } = doing(permitted, { saw: 'pack', volts, polarity, limiterId: 'limiter' }).state;
    const pack = steps.find(({ verb }) => verb === 'pack')!;
    expect([pack.done, pack.blockedReason]).toEqual([false, expect.stringContaining(words)]);
  });
});

describe('a wire on another pad', () => {
  const started = walk(bench, startWalk(bench, startMs), ({ id }) => id === 'land:M1-B.b');
  const elsewhere = (ref: `${string}.${string}`) => {
    const [act] = bodiesFor(bench, started, started.state.current!) as [Act & { do: 'land' }];
    return record(bench, started, started.state.current!, [{ ...act, as: { ...act.as, at: { on: 'terminal', ref } } }]);
  };

  it('is followed by the plan on a sister phase, which takes the freed pad', () => {
    const now = elsewhere('ESC.C1');
    expect(now.state.current?.id).toBe('free:M1-B.b');
    const { changes, objections } = rebasePlan(plan, now.state.asBuilt, { wireId: 'M1-B', end: 1 }, 'ESC.C1');
    expect(objections).toEqual([]);
    const kept = applyPlanChanges(plan, changes);
    if (!kept.ok) throw new Error('the plan did not follow');
    const state = deriveJob({ jobId: 'job', plan: kept.plan, log: fold(now.records, catalogue), catalogue, list });
    expect(state.current?.id).toBe('land:M1-C.b');
    expect(state.findings).toEqual([]);
  });

  it.each([
    ['ESC.A2', 'motor phases'],
    ['ESC.BP', 'wrong kind of pad'],
    ['ESC.A1', 'pad full'],
  ] as const)('is not followed on %s: %s', (ref, rule) => {
    const { objections } = rebasePlan(plan, elsewhere(ref).state.asBuilt, { wireId: 'M1-B', end: 1 }, ref);
    expect(objections.map((objection) => objection.rule)).toContain(rule);
  });
});
