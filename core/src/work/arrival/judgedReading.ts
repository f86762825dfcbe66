/** A reading computed again: what a good build shows there, on which anchors, and what follows from what was heard. */
import { findEntry } from '../../facts/log/entries';
import type { Judged } from '../../facts/log/judged';
import type { Expectation, Heard, Reading, Touch } from '../../facts/log/reading';
import type { Note, QuadRecord } from '../../facts/log/records';
import { sameJson } from '../../facts/terms/sameJson';
import { compileSound } from '../../physics/circuit/compile';
import { anchorsFor, chargeBefore } from '../../judgement/checks/anchors';
import { expectIn } from '../../judgement/checks/expect';
import { judgeReading } from '../../judgement/checks/judgeReading';
import { isAcrossMains, soundsShorted } from '../../judgement/checks/standingShort';
import type { ArrivalContext } from './judgeArrival';

type Sent = Omit<QuadRecord, 'judged'> & { body: Extract<Note, { saw: 'reading' }> };

interface Found {
  reading: NonNullable<Judged['reading']>;
  differs: readonly string[];
}

/** Probes are taken as held this long where nobody timed them. */
const usualHoldMs = 2500;

export function judgedReading({ jobId, doneAt, body: { reading } }: Sent, context: ArrivalContext): Found {
  const { log } = context;
  const { touch, heard } = reading;
  const expected = expectedOf(reading, doneAt, context);
  const anchors = anchorsFor(touch, log, jobId);
  const reason = noGround(reading, expected, context);
  const follows = () => {
    if (soundsShorted(reading) && isAcrossMains(touch, log.asBuilt)) return 'stop';
    return reason === null ? judgeReading(expected, { ...heard, anchors }) : 'record only';
  };
  const verdict = follows();
  const differs = [
    ...(reason === null ? [] : [reason]),
    ...(verdict === reading.verdict ? [] : [`sent as “${reading.verdict}”, found “${verdict}”`]),
    ...(sameJson(expected.passes, reading.expected.passes) ? [] : ['another expectation was sent']),
  ];
  return { reading: { expected, anchors, verdict }, differs };
}

function expectedOf({ touch, meterId, heard }: Reading, doneAt: string, { log, meters }: ArrivalContext): Expectation {
  const none: Expectation = { touch, from: 'none', passes: [], band: null, chargeAfterV: {}, because: [] };
  const meter = meters.get(meterId);
  const { asBuilt } = log;
  if (!meter || touch.power !== 'off' || !asBuilt.terminal(touch.black) || !asBuilt.terminal(touch.red)) return none;
  const circuit = compileSound(asBuilt);
  const options = { meter, ...chargeBefore(log, doneAt), heldS: (heard.heldMs ?? usualHoldMs) / 1000 };
  return expectIn(circuit, touch, options);
}

/** Why a reading can be held against nothing, in words; null when it can. */
function noGround(
  { touch, meterId, heard, expected }: Reading,
  own: Expectation,
  { log, meters }: ArrivalContext,
): string | null {
  if (!meters.has(meterId)) return 'a meter that is not in this shop';
  if (!sameJson(expected.touch, touch)) return 'its expectation is one of another touch';
  if (!isAnswer(touch, heard)) return `${touch.mode === 'tone' ? 'a length' : 'a value'} is what this mode gives`;
  const named = [heard.anchors.black, heard.anchors.red].filter((id) => id !== null);
  if (named.some((id) => !findEntry(log, id))) return 'it stands on a tone that nobody has recorded';
  return own.from === 'none' ? 'nothing is computed for it' : null;
}

/** A tone has a length, everything else a number or that there is none. */
function isAnswer({ mode }: Touch, { length, value, open }: Heard): boolean {
  const isNumber = value !== undefined || open === true;
  return mode === 'tone' ? length !== undefined && !isNumber : isNumber && length === undefined;
}
