/**
 * A technician who does what each step says and tells the truth: makes the demo shop's history, and walks whole
 * jobs in tests. Mishaps are handed in. Deterministic: the clock and the ids are arguments.
 */
import type {
  Act,
  Catalogue,
  Circuit,
  JobState,
  LogState,
  Length,
  Meter,
  Note,
  Plan,
  QuadRecord,
  Step,
  StepId,
} from '@junctor/core';
import {
  advance,
  anchorsFor,
  fold,
  lookedAt,
  notesOf,
  chargeAfter,
  chargeBefore,
  compile,
  coreVersion,
  deriveJob,
  expectIn,
  judgeReading,
  looseReadings,
  assemble,
} from '@junctor/core';

export interface Bench {
  quadId: string;
  jobId: string;
  plan: Plan;
  catalogue: Catalogue;
  meter: Meter;
  limiterId: string;
  personId: string;
  deviceId: string;
  packV: number;
  /** A new id for a record made at this time. */
  newId: (atMs: number) => string;
}

/** Something that goes wrong at a step: gives the bodies to record instead of what was asked. Used once each. */
export type Mishap = (step: Step, state: JobState) => readonly (Act | Note)[] | null;

export interface Walk {
  records: QuadRecord[];
  /** The technician's clock, ms since 1970. */
  nowMs: number;
  state: JobState;
  /** The plan's circuit, compiled once. */
  circuit: Circuit;
}

export function startWalk(bench: Bench, nowMs: number, records: readonly QuadRecord[] = []): Walk {
  return {
    records: [...records],
    nowMs,
    state: derive(bench, fold(records, bench.catalogue)),
    circuit: compile(assemble(bench.plan.target, bench.catalogue)),
  };
}

const maxSteps = 3000;

/** Does steps until `until` says so or nothing is left. */
export function walk(bench: Bench, from: Walk, until: (step: Step) => boolean, mishaps: readonly Mishap[] = []): Walk {
  const unused = [...mishaps];
  let now = from;
  let left = maxSteps;
  for (let step = now.state.current; step && !until(step); step = now.state.current) {
    if (left-- === 0) throw new Error(`the job goes round in circles at ${step.id}`);
    const happened = unused
      .map((mishap, index) => ({ index, bodies: mishap(step!, now.state) }))
      .find(({ bodies }) => bodies);
    if (happened) unused.splice(happened.index, 1);
    now = record(bench, now, step, happened?.bodies ?? bodiesFor(bench, now, step));
  }
  return now;
}

/** Adds records for a step and lets its time pass. */
export function record(bench: Bench, from: Walk, step: Step | null, bodies: readonly (Act | Note)[]): Walk {
  const shownAt = new Date(from.nowMs).toISOString();
  const nowMs = from.nowMs + (step?.takesS ?? 60) * 1000;
  const lastSeq = from.records.length;
  const made = bodies.map((body, index): QuadRecord => ({
    id: bench.newId(nowMs),
    quadId: bench.quadId,
    seq: lastSeq + index + 1,
    jobId: bench.jobId,
    step: step?.id ?? stepOf(body),
    personId: bench.personId,
    deviceId: bench.deviceId,
    shownAt: step ? shownAt : null,
    doneAt: new Date(nowMs).toISOString(),
    arrivedAt: new Date(nowMs).toISOString(),
    basisSeq: lastSeq,
    planVersion: bench.plan.version,
    how: 'did',
    body,
  }));
  const log = made.reduce(advance, from.state.log);
  return { ...from, records: [...from.records, ...made], nowMs, state: derive(bench, log) };
}

function stepOf(body: Act | Note): StepId | null {
  return 'saw' in body && body.saw === 'fault' ? 'fault:log' : null;
}

function derive({ jobId, plan, catalogue }: Bench, log: LogState): JobState {
  return deriveJob({ jobId, plan, log, catalogue });
}

/** What a good step leaves in the log. */
export function bodiesFor(bench: Bench, now: Walk, step: Step): (Act | Note)[] {
  switch (step.verb) {
    case 'look':
      return lookedAt(step).map((of) => ({ saw: 'look', of, grade: 'good', defects: [] }));
    case 'prove':
      return [
        { saw: 'meter proof', meterId: bench.meter.id, tipsApart: 'none', tipsTogether: 'does not stop', restV: 0.003 },
      ];
    case 'touch':
      return [readingOf(bench, now, step, null)];
    case 'say':
      return [{ saw: 'caution', id: step.subject }];
    case 'picture':
      return [{ saw: 'skip', step: step.id, reason: 'no picture taken' }];
    case 'count':
      return [
        { saw: 'kit', line: step.subject, wanted: step.line.needed, have: step.line.needed, takes: [], parts: [] },
      ];
    case 'weigh':
      return [{ saw: 'weight', what: step.subject, grams: weighed(bench, step.subject) }];
    case 'sign':
      return [signatureOf(bench, step.subject)];
    case 'pack':
      return [{ saw: 'pack', volts: bench.packV, polarity: 'right', limiterId: bench.limiterId }];
    case 'permit':
      return [{ saw: 'permit', gate: 'first power', checks: now.state.steps.flatMap(({ by }) => by), waivers: [] }];
    case 'power':
      return [powerOf(bench, now)];
    default:
      return 'effect' in step ? [...step.effect] : [];
  }
}

/** As the model says, and a little off, as scales and parts are. */
function weighed({ plan, catalogue }: Bench, slot: string): number {
  return Math.round(assemble(plan.target, catalogue).model(slot)!.massG * 10.2) / 10;
}

function signatureOf({ plan, catalogue, meter }: Bench, slot: string): Note {
  const readings = looseReadings(assemble(plan.target, catalogue).model(slot)!, meter).map(
    ({ black, red, mode, expected }) => ({
      black: black.id,
      red: red.id,
      mode,
      length: expected.passes.at(-1) ?? null,
      value: expected.band ? (expected.band[0] + expected.band[1]) / 2 : null,
      passes: expected.passes,
      band: expected.band,
      verdict: 'pass' as const,
    }),
  );
  return { saw: 'signature', slot, part: null, readings };
}

/** A reading as a good build gives it, or with the length that was heard instead. */
export function readingOf(bench: Bench, now: Walk, step: Step & { verb: 'touch' }, heardInstead: Length | null): Note {
  const { touch } = step.listed;
  const before = chargeBefore(now.state.log, new Date(now.nowMs).toISOString());
  const options = { meter: bench.meter, ...before, heldS: 2.5 };
  const expected = expectIn(now.circuit, touch, options);
  const length = heardInstead ?? expected.passes[Math.floor((expected.passes.length - 1) / 2)]!;
  const anchors = anchorsFor(touch, now.state.log, bench.jobId);
  const heard = { length, heldMs: 2500, by: 'key' as const, wrong: length === 'none' ? 0.03 : 0.005, anchors };
  const chargeAfterV = chargeAfter(now.circuit, touch, options);
  const judged = { ...expected, chargeAfterV };
  return {
    saw: 'reading',
    reading: {
      touch,
      meterId: bench.meter.id,
      heard,
      expected: judged,
      verdict: judgeReading(judged, heard),
      coreVersion,
    },
  };
}

function powerOf(bench: Bench, { state }: Walk): Note {
  const permit = notesOf(state.log, 'permit').at(-1)?.record.id ?? null;
  const signs = Object.entries(state.asBuilt.build.slots).flatMap(([slot, fitted]) =>
    bench.catalogue.model(fitted).signs.map(({ id }) => ({ id: `${slot}.${id}`, seen: true })),
  );
  return {
    saw: 'power',
    stage: 'limited, all',
    permit,
    limiterId: bench.limiterId,
    packV: bench.packV,
    onS: 8,
    ambientC: null,
    endedBy: 'done',
    signs,
    verdict: 'pass',
  };
}
