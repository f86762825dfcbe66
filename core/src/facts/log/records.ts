/**
 * Records: one append-only log per quad. Acts change the Build, notes change nothing physical.
 * Times are UTC in ISO 8601 with milliseconds. `seq` is null until the server has stored the record.
 */
import type { Reading } from './reading';
import type { Id, Range, Slot, TerminalId, StepId } from '../terms/names';
import type { PowerStage } from '../terms/powerStage';
import type { Act } from '../assembly/act';
import type { Length } from '../terms/toneLength';
import type { Site } from '../terms/site';

export interface RecordHead {
  id: Id;
  quadId: Id;
  seq: number | null;
  jobId: Id;
  step: StepId | null;
  personId: Id;
  deviceId: Id;
  /** When the step became current on the screen; null when it never was. */
  shownAt: string | null;
  doneAt: string;
  arrivedAt: string | null;
  /** The last seq that the writer had seen. */
  basisSeq: number;
  planVersion: number;
  how: 'did' | 'found';
  /** The record that this one corrects or takes back; one correction per record. */
  replaces?: Id;
}

export type Note =
  | { saw: 'reading'; reading: Reading }
  | { saw: 'look'; of: string; grade: 'good' | 'redo' | 'accept'; defects: readonly string[] }
  | {
      saw: 'power';
      stage: PowerStage;
      permit: Id | null;
      limiterId: Id | null;
      packV: number;
      onS: number;
      ambientC: number | null;
      endedBy: 'done' | 'time' | 'sign' | 'heat';
      signs: readonly { id: string; seen: boolean | number }[];
      verdict: 'pass' | 'stop';
    }
  | { saw: 'permit'; gate: string; checks: readonly Id[]; waivers: readonly Id[] }
  | { saw: 'meter proof'; meterId: Id; tipsApart: Length; tipsTogether: Length; restV: number }
  | { saw: 'pack'; volts: number; polarity: 'right' | 'reversed'; limiterId: Id }
  | { saw: 'fault'; fault: FaultEntry }
  | { saw: 'caution'; id: string }
  | { saw: 'waiver'; finding: string; severity: 'stop' | 'warn'; reason: string }
  | {
      saw: 'kit';
      line: string;
      wanted: number;
      have: number;
      takes: readonly { stock: Id; quantity: number }[];
      parts: readonly Id[];
    }
  | { saw: 'weight'; what: string; grams: number }
  | { saw: 'signature'; slot: Slot; part: Id | null; readings: readonly SignatureReading[] }
  | { saw: 'skip'; step: StepId; reason: string }
  | { saw: 'picture'; of: string; blob: Id }
  | { saw: 'taken back'; reason: string };

/** One touch of a loose part: terminals without their slot. */
export interface SignatureReading {
  black: TerminalId;
  red: TerminalId;
  mode: 'tone' | 'ohms' | 'diode';
  length: Length | null;
  value: number | null;
  passes: readonly Length[];
  band: Range | null;
  verdict: 'pass' | 'stop' | 'record only';
}

export interface FaultEntry {
  symptom: string;
  site: Site;
  cause: string;
  defect?: string;
  partsReplaced: readonly Id[];
  done: string;
  minutes: number;
  /** In minor units of the shop's currency. */
  costMinor: number;
  state: 'found' | 'mended' | 'proved' | 'accepted';
}

export type QuadRecord = RecordHead & { body: Act | Note };

/** True for a body that changes the Build. */
export function isAct(body: Act | Note): body is Act {
  return 'do' in body;
}
