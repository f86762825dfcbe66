/**
 * Is a step done? Its effect is in the fold, and every note that it wants exists, passes and is not stale.
 * There is no done flag anywhere.
 */
import type { FoldedAct, FoldedLog } from '../../facts/log/fold';
import { restLimitV } from '../../judgement/checks/expect';
import type { Touch } from '../../facts/log/reading';
import { concernsAll, concernsJoint, concernsTerminals, spoiledBy } from '../../facts/log/stale';
import type { Id, Range } from '../../facts/terms/names';
import type { Effective } from '../../facts/log/corrections';
import { notesOf } from '../../facts/log/notesOf';
import type { QuadRecord } from '../../facts/log/records';
import { isAct } from '../../facts/log/records';
import { packObjection, unpermittedPowers, validPermit } from './firstPower';
import type { StepKind } from './step';

export interface DoneState {
  done: boolean;
  against: string | null;
  by: readonly Id[];
  reopenedBy: Id | null;
}

export interface DoneContext {
  records: readonly QuadRecord[];
  log: FoldedLog;
  /** Joints that are where the plan wants them. */
  inPlace: (joint: string) => boolean;
  cells: Range;
  planVersion: number;
  jobId: Id;
}

const open = (against: string | null = null, reopenedBy: Id | null = null): DoneState => ({
  done: false,
  against,
  by: [],
  reopenedBy,
});
const done = (...notes: readonly Effective[]): DoneState => ({
  done: true,
  against: null,
  by: notes.map(({ record }) => record.id),
  reopenedBy: null,
});

/** For steps that want notes. Steps that are acts are done when the difference no longer names them. */
export function noteState(step: StepKind, context: DoneContext): DoneState {
  switch (step.verb) {
    case 'look':
      return looked(step, context);
    case 'prove':
      return meterProved(context);
    case 'touch':
      return touched(step.listed.touch, isMainLeads(step.listed.reason), context);
    case 'say':
      return said(step.subject, context);
    case 'picture':
      return pictured(step, context);
    case 'pack':
      return packMeasured(context);
    case 'permit':
      return permitted(context);
    case 'power':
      return powered(context);
    default:
      return open();
  }
}

function isMainLeads(reason: string): boolean {
  return reason.startsWith('main leads');
}

function looked(step: Extract<StepKind, { verb: 'look' }>, { log, inPlace }: DoneContext): DoneState {
  const subjects = step.plug ? [step.plug] : step.joints;
  const looks = notesOf(log, 'look');
  const used: Effective[] = [];
  for (const subject of subjects) {
    if (!step.plug && !inPlace(subject)) return open();
    const last = looks.filter(({ record }) => record.body.of === subject).at(-1);
    if (!last) return open();
    const spoiled = step.plug ? null : spoiledBy(last, log, concernsJoint(subject));
    if (spoiled) return open(`${subject} was worked on since the last look`, spoiled.id);
    if (last.record.body.grade === 'redo') return open(`${subject} is to be redone`);
    used.push(last);
  }
  return done(...used);
}

/** The last look at a joint says redo, and nothing has been done to it since. */
export function wantsRedo(joint: string, log: FoldedLog): boolean {
  const last = notesOf(log, 'look')
    .filter(({ record }) => record.body.of === joint)
    .at(-1);
  return last?.record.body.grade === 'redo' && !spoiledBy(last, log, concernsJoint(joint));
}

/** Power leaves charge behind: after it the proof is asked again, once there is anything to measure again. */
function meterProved({ log, records }: DoneContext): DoneState {
  const last = notesOf(log, 'meter proof').at(-1);
  if (!last) return open();
  const { tipsApart, tipsTogether, restV } = last.record.body;
  const powered = notesOf(log, 'power').some((power) => power.madeSeq > last.madeSeq);
  if (powered && !passedPower({ records, log })) return open('Powered since: capacitors may hold charge', null);
  if (tipsApart !== 'none') return open('The meter sounded with its tips apart');
  if (tipsTogether !== 'does not stop') return open('The meter did not sound with its tips together');
  if (Math.abs(restV) >= restLimitV)
    return open(`${restV} V on the main leads: bleed through 100 Ω to 1 kΩ, wait, measure again`);
  return done(last);
}

function touched(touch: Touch, mainLeads: boolean, context: DoneContext): DoneState {
  const last = lastReading(touch, context.log);
  if (!last) return open();
  const spoiled = spoilsReading(last, touch, mainLeads, context);
  if (spoiled) return open('Worked on since it was read', spoiled);
  const { verdict, heard } = last.record.body.reading;
  if (verdict === 'stop')
    return open(`Read “${heard.length ?? `${heard.value} ${heard.unit}`}”, which no good build shows`);
  if (verdict === 'look again') return open('Silent, contact not proven');
  return done(last);
}

/** The newest reading of exactly this touch, or null. */
export function lastReading(touch: Touch, log: FoldedLog) {
  const same = ({ record }: { record: QuadRecord }) => {
    const { body } = record;
    if (!('saw' in body) || body.saw !== 'reading') return false;
    const other = body.reading.touch;
    return (
      other.black === touch.black && other.red === touch.red && other.mode === touch.mode && other.power === touch.power
    );
  };
  return notesOf(log, 'reading').filter(same).at(-1) ?? null;
}

/** The record that makes a reading stale, or null. Main-lead readings stand on every act, and on power that went wrong. */
export function spoilsReading(
  reading: Effective,
  touch: Touch,
  mainLeads: boolean,
  { log, records }: Pick<DoneContext, 'log' | 'records'>,
): Id | null {
  const act: FoldedAct | null = spoiledBy(
    reading,
    log,
    mainLeads ? concernsAll : concernsTerminals(touch.black, touch.red),
  );
  if (act || !mainLeads) return act?.id ?? null;
  const unpermitted = new Set(unpermittedPowers(records, log).map(({ record }) => record.id));
  const bad = notesOf(log, 'power').find(
    ({ record, madeSeq }) =>
      madeSeq > reading.madeSeq && (record.body.verdict === 'stop' || unpermitted.has(record.id)),
  );
  return bad?.record.id ?? null;
}

function said(id: string, { log, jobId }: DoneContext): DoneState {
  const last = notesOf(log, 'caution')
    .filter(({ record }) => record.body.id === id && record.jobId === jobId)
    .at(-1);
  if (!last) return open();
  if (id === 'hot iron' || id.startsWith('lead in the lid')) return done(last);
  return sinceLastActOrPower(last, log) ?? done(last);
}

/** True once the job has done something to the quad; what was found when it came in does not count. */
export function workBegun({ records, jobId }: Pick<DoneContext, 'records' | 'jobId'>): boolean {
  return records.some((record) => record.jobId === jobId && record.how === 'did' && isAct(record.body));
}

/** Taken in this job, or done without. */
function pictured({ verb, subject }: Extract<StepKind, { verb: 'picture' }>, { log, jobId }: DoneContext): DoneState {
  const taken = notesOf(log, 'picture').find(({ record }) => record.jobId === jobId && record.body.of === subject);
  const without = notesOf(log, 'skip').find(
    ({ record }) => record.jobId === jobId && record.body.step === `${verb}:${subject}`,
  );
  const by = taken ?? without;
  return by ? done(by) : open();
}

function packMeasured({ log, cells }: DoneContext): DoneState {
  const last = notesOf(log, 'pack').at(-1);
  if (!last) return open();
  const objection = packObjection(last.record.body, cells);
  if (objection) return open(objection);
  return sinceLastActOrPower(last, log) ?? done(last);
}

/** Stale when something was done or powered since; a power-up that passed uses it up without opening it again. */
function sinceLastActOrPower(note: Effective, log: FoldedLog): DoneState | null {
  const act = spoiledBy(note, log, concernsAll);
  if (act) return open('Something was done since', act.id);
  const power = notesOf(log, 'power').at(-1);
  if (power && power.madeSeq > note.madeSeq && power.record.body.verdict === 'stop')
    return open('Powered since', power.record.id);
  return null;
}

function permitted({ records, log, planVersion }: DoneContext): DoneState {
  const power = passedPower({ records, log });
  if (power) return done(power);
  const permit = validPermit(records, log, planVersion);
  if (permit) return { done: true, against: null, by: [permit.id], reopenedBy: null };
  return open(notesOf(log, 'permit').length > 0 ? 'The last permit no longer holds' : null);
}

function powered(context: DoneContext): DoneState {
  const power = passedPower(context);
  if (power) return done(power);
  const last = notesOf(context.log, 'power').at(-1);
  if (last?.record.body.verdict === 'stop') return open('The last power-up was stopped');
  return open();
}

/** A power-up that passed, under a permit, with nothing done since. */
function passedPower({ records, log }: Pick<DoneContext, 'records' | 'log'>) {
  const last = notesOf(log, 'power').at(-1);
  if (!last || last.record.body.verdict !== 'pass' || spoiledBy(last, log, concernsAll)) return null;
  return unpermittedPowers(records, log).some(({ record }) => record.id === last.record.id) ? null : last;
}
