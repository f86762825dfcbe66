/**
 * What the server found of a record as it arrived: it holds in place of what the sender said, whose own words are kept
 * beside it.
 */
import type { Expectation, Heard, Reading, Verdict } from './reading';
import type { QuadRecord } from './records';

export interface Judged {
  /** Of a reading: what was to be expected, on which anchors, and what follows. */
  reading?: { expected: Expectation; anchors: Heard['anchors']; verdict: Verdict };
  /** Of a power-up. */
  power?: 'pass' | 'stop';
  /** The server's time, where the device's clock was ahead of it. */
  doneAt?: string;
  /** Where that differs from what was sent, in words. */
  differs: readonly string[];
}

/** The record as it counts. */
export function asJudged(record: QuadRecord): QuadRecord {
  const { judged, body } = record;
  if (!judged) return record;
  const timed = judged.doneAt === undefined ? record : { ...record, doneAt: judged.doneAt };
  if (!('saw' in body)) return timed;
  if (body.saw === 'power' && judged.power) return { ...timed, body: { ...body, verdict: judged.power } };
  if (body.saw !== 'reading' || !judged.reading) return timed;
  return { ...timed, body: { ...body, reading: heldTo(body.reading, judged.reading) } };
}

function heldTo(reading: Reading, { expected, anchors, verdict }: NonNullable<Judged['reading']>): Reading {
  return { ...reading, expected, verdict, heard: { ...reading.heard, anchors } };
}
