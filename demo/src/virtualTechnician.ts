/**
 * A technician who does what each step says and tells the truth: makes the demo shop's history, and walks whole
 * jobs in tests. Mishaps are handed in. Deterministic: the clock and the ids are arguments.
 */
import type { Act, Id, JobState, LogState, Note, QuadRecord, Step, StepId } from '@junctor/core';
import { advance, deriveJob, fold } from '@junctor/core';
import type { Bench, Walk } from './bench';
import { bodiesFor, closingOf } from './goodWork';

/** Something that goes wrong at a step: gives the bodies to record instead of what was asked. Used once each. */
export type Mishap = (step: Step, state: JobState) => readonly (Act | Note)[] | null;

export function startWalk(bench: Bench, nowMs: number, records: readonly QuadRecord[] = []): Walk {
  return {
    records: [...records],
    nowMs,
    state: derive(bench, fold(records, bench.catalogue)),
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
    now = happened?.bodies ? record(bench, now, step, happened.bodies) : doStep(bench, now, step);
  }
  return now;
}

/** What is recorded; with `replaces` in the place of another record. */
interface Given {
  body: Act | Note;
  replaces?: Id;
}

/** Does a step as it is asked. */
export function doStep(bench: Bench, now: Walk, step: Step): Walk {
  const closing = closingOf(now, step);
  return closing ? added(bench, now, step, [closing]) : record(bench, now, step, bodiesFor(bench, now, step));
}

/** Adds records for a step and lets its time pass. */
export function record(bench: Bench, from: Walk, step: Step | null, bodies: readonly (Act | Note)[]): Walk {
  return added(
    bench,
    from,
    step,
    bodies.map((body) => ({ body })),
  );
}

function added(bench: Bench, from: Walk, step: Step | null, given: readonly Given[]): Walk {
  const shownAt = new Date(from.nowMs).toISOString();
  const nowMs = from.nowMs + (step?.takesS ?? 60) * 1000;
  const lastSeq = from.records.length;
  const made = given.map(({ body, replaces }, index): QuadRecord => ({
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
    ...(replaces ? { replaces } : {}),
  }));
  const log = made.reduce(advance, from.state.log);
  return { ...from, records: [...from.records, ...made], nowMs, state: derive(bench, log) };
}

function stepOf(body: Act | Note): StepId | null {
  return 'saw' in body && body.saw === 'fault' ? 'fault:log' : null;
}

function derive({ jobId, plan, catalogue, list }: Bench, log: LogState): JobState {
  return deriveJob({ jobId, plan, log, catalogue, list });
}
