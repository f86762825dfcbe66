/** Whoever works on the quad: does what is asked, and hears what the aircraft truly gives. */
import type { FollowedLog, JobState, Note, QuadRecord, Step, StepOf } from '@junctor/core';
import { coreVersion, deriveJob, follow, notesOf, stateOf } from '@junctor/core';
import { bodiesFor, doStep, record, startWalk } from '@junctor/demo';
import type { Bench, Walk } from '@junctor/demo';
import { askPermit, benchOf, sendRecords } from '@junctor/server/testing';
import type { Worked } from '@junctor/server/testing';
import type { Truth } from './truth';

/** A job as a tablet follows it: what has come since is fetched and gone on from. */
export class Tablet {
  private followed: FollowedLog;
  private beginning: FollowedLog;

  private constructor(
    readonly worked: Worked,
    readonly bench: Bench,
  ) {
    this.followed = follow(null, [], bench.catalogue);
    this.beginning = this.followed;
  }

  static async of(worked: Worked): Promise<Tablet> {
    return new Tablet(worked, await benchOf(worked));
  }

  async now(): Promise<Walk> {
    const { client, quadId } = this.worked;
    const { jobId, plan, list, catalogue } = this.bench;
    const known = this.followed.records;
    const path = `/quads/${quadId}/records?after=${known.at(-1)?.seq ?? 0}`;
    const fresh = (await client.get(path)).body as unknown as QuadRecord[];
    this.followed = follow(this.followed, [...known, ...fresh], catalogue);
    const records = [...this.followed.records];
    const state = deriveJob({ jobId, plan, log: stateOf(this.followed), catalogue, list });
    return { records, nowMs: timeAfter(records), state };
  }

  /** Notes what is known now, to go back to. */
  begin(): void {
    this.beginning = this.followed;
  }

  back(): void {
    this.followed = this.beginning;
  }

  send(records: readonly QuadRecord[]) {
    return sendRecords(this.worked.client, this.worked.quadId, records);
  }

  /** True when the server gives a permit now. */
  async isPermitted(): Promise<boolean> {
    return (await askPermit(this.worked)).status === 200;
  }
}

const minuteMs = 60_000;

/** Work is told to have begun a day ago, a minute after whatever was told last. */
function timeAfter(records: readonly QuadRecord[]): number {
  const now = Date.now();
  const told = records.map(({ doneAt }) => Date.parse(doneAt)).filter((at) => at < now);
  return Math.min(now - minuteMs, Math.max(now - 24 * 3600_000, ...told) + minuteMs);
}

type Reading = Extract<Note, { saw: 'reading' }>;

/** What is truly heard at a step's touch, after the touch before it. The sender believes that all is well. */
export function heardAt(truth: Truth, bench: Bench, { records }: Walk, step: StepOf<'touch'>): Reading {
  const { touch } = step.listed;
  const last = records.findLast(({ body }) => 'saw' in body && body.saw === 'reading')?.body as Reading | undefined;
  const before = last?.reading.touch;
  const said = truth.hear(touch, before?.black === touch.red && before.red === touch.black);
  const heard = { ...said, heldMs: 2500, by: 'key' as const, wrong: 0.01, anchors: { black: null, red: null } };
  const passes = said.length ? [said.length] : [];
  const expected = { touch, from: 'computed' as const, passes, band: null, chargeAfterV: {}, because: [] };
  return { saw: 'reading', reading: { touch, meterId: bench.meter.id, heard, expected, verdict: 'pass', coreVersion } };
}

/**
 * Does every open step before the permit once, in order, truly; a reading that stops stays as it was read. Up to
 * `rounds` times, since a reading may ask for others again.
 */
export async function workOn(tablet: Tablet, truth: Truth, rounds: number): Promise<void> {
  for (let round = 0; round < rounds; round++) {
    const from = await tablet.now();
    const now = oneRound(tablet.bench, from, truth);
    if (now.records.length === from.records.length) return;
    for (let at = from.records.length; at < now.records.length; at += 100)
      await tablet.send(now.records.slice(at, at + 100));
  }
}

function oneRound(bench: Bench, from: Walk, truth: Truth): Walk {
  let now = from;
  const tried = new Set<string>();
  const next = (state: JobState): Step | undefined => {
    const before = state.steps.slice(
      0,
      state.steps.findIndex(({ verb }) => verb === 'permit'),
    );
    return before.find(({ id, done }) => !done && !tried.has(id));
  };
  for (let step = next(now.state); step; step = next(now.state)) {
    tried.add(step.id);
    if (step.verb === 'touch') now = record(bench, now, step, [heardAt(truth, bench, now, step)]);
    else if (step.verb === 'mend') now = accepted(bench, now, step);
    else now = bodiesFor(bench, now, step).length > 0 ? doStep(bench, now, step) : now;
  }
  return now;
}

/** A lead leaves a fault as it is, where nothing that was done can have mended it. */
function accepted(bench: Bench, now: Walk, step: StepOf<'mend'>): Walk {
  const fault = notesOf(now.state.log, 'fault').find(({ record: { id } }) => id === step.about.record);
  if (!fault) return now;
  const body: Note = {
    saw: 'fault',
    fault: { ...fault.record.body.fault, state: 'accepted', acceptedBecause: 'it was a slip' },
  };
  const made = record(bench, now, step, [body]);
  const last = made.records.at(-1)!;
  return startWalk(bench, made.nowMs, [...made.records.slice(0, -1), { ...last, replaces: fault.record.id }]);
}
