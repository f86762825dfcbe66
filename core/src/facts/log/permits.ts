/**
 * Which permits hold, record by record. A permit is for one power-up: it dies with that power record, and with any
 * later act, correction, stop reading or fault. Corrections count in the order in which they came.
 */
import type { LogState, NoteOf } from './logState';
import { notesOf } from './notesOf';
import type { Note, QuadRecord } from './records';
import { isAct } from './records';

/** What a record leaves of the permits before it. */
export function afterPermits(log: LogState, record: QuadRecord): Pick<LogState, 'livePermits' | 'unpermitted'> {
  const { livePermits, unpermitted } = log;
  const { body, id } = record;
  if (isAct(body)) return { livePermits: [], unpermitted };
  const left = ends(record) ? [] : livePermits;
  return {
    livePermits: body.saw === 'permit' ? [...left, id] : left,
    unpermitted: isPermitted(log, record) ? unpermitted : new Set(unpermitted).add(id),
  };
}

function ends({ body, replaces }: QuadRecord): boolean {
  if (replaces !== undefined || isAct(body)) return true;
  if (body.saw === 'reading') return body.reading.verdict === 'stop';
  if (body.saw === 'fault') return body.fault.state === 'found';
  return body.saw === 'power' || body.saw === 'taken back';
}

type Power = Extract<Note, { saw: 'power' }>;

/** False for power that no permit held for. */
function isPermitted(log: LogState, record: QuadRecord): boolean {
  const { body } = record;
  if (!('saw' in body) || body.saw !== 'power' || body.stage === 'off') return true;
  if (body.permit === null || !log.livePermits.includes(body.permit)) return false;
  const permit = notesOf(log, 'permit').find(({ record: { id } }) => id === body.permit);
  return permit !== undefined && isWithin(permit, record, body);
}

/** Volts by which a pack may have changed between its measuring and the power-up. */
const packDriftV = 0.5;

/** True when a power-up is the one that a permit was given for. */
function isWithin({ record: permit }: NoteOf<'permit'>, record: QuadRecord, power: Power): boolean {
  const wanted = permit.body.for;
  if (!wanted) return true;
  return (
    power.stage === wanted.stage &&
    power.limiterId === wanted.limiterId &&
    Math.abs(power.packV - wanted.packV) <= packDriftV &&
    isInTime(permit, record)
  );
}

/** Seconds by which a clock may be set back while a permit is used. */
const clockStepS = 5;

/**
 * True while a permit has not run out. By the clock of the device that asked, which need not be right; a record of
 * another device by when it arrived.
 */
export function isInTime(
  permit: NoteOf<'permit'>['record'],
  power: Pick<QuadRecord, 'deviceId' | 'doneAt' | 'arrivedAt'>,
): boolean {
  if (!permit.body.for) return true;
  const { askedAt, forS } = permit.body.for;
  const [from, to] = power.deviceId === permit.deviceId ? [askedAt, power.doneAt] : [permit.arrivedAt, power.arrivedAt];
  // One that is not stored yet is not late yet.
  if (from === null || to === null) return true;
  const elapsedS = (Date.parse(to) - Date.parse(from)) / 1000;
  return elapsedS >= -clockStepS && elapsedS <= forS;
}
