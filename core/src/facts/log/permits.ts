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
    wasInTime(permit, record)
  );
}

/** Seconds by which a clock may be set back while a permit is used. */
const clockStepS = 5;

/**
 * True where a power-up came before its permit ran out. By the clock of the device that asked, which need not be right;
 * a record of another device by when it arrived.
 */
function wasInTime(permit: NoteOf<'permit'>['record'], power: QuadRecord): boolean {
  if (power.deviceId !== permit.deviceId || !permit.body.for) return isInTime(permit, power.arrivedAt);
  const elapsedS = secondsBetween(permit.body.for.askedAt, power.doneAt);
  return elapsedS >= -clockStepS && elapsedS <= permit.body.for.forS;
}

/** True while a permit has not run out at a moment by the server's clock. One not stored yet is not late yet. */
export function isInTime({ body, arrivedAt }: NoteOf<'permit'>['record'], now: string | null): boolean {
  return !body.for || arrivedAt === null || now === null || secondsBetween(arrivedAt, now) <= body.for.forS;
}

function secondsBetween(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / 1000;
}
