/**
 * Records: one append-only log per quad. Acts change the Build, notes change nothing physical.
 * Times are UTC in ISO 8601 with milliseconds. `seq` is null until the server has stored the record.
 */
import type { Judged } from './judged';
import type { Reading } from './reading';
import type { Id, Range, Slot, TerminalId, StepId, WireId } from '../terms/names';
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
  /** What the server found of it; absent until it is stored, and in logs from before there was such a thing. */
  judged?: Judged;
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
  | { saw: 'permit'; gate: string; checks: readonly Id[]; waivers: readonly Id[]; for?: PermitFor }
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
      /** What was taken in its place. */
      instead?: string;
    }
  | { saw: 'weight'; what: string; grams: number }
  | LayoutNote
  | MeasuredGap
  | MeasuredLength
  | CutNote
  | { saw: 'signature'; slot: Slot; part: Id | null; readings: readonly SignatureReading[] }
  | { saw: 'skip'; step: StepId; reason: string }
  | { saw: 'picture'; of: string; blob: Id }
  | Symptom
  | { saw: 'history'; died: HowDied; changedLast: string; overloadedS: number | null }
  | { saw: 'untouched'; since: Id }
  | { saw: 'replace'; slot: Slot; part: Id | null; oldSerial: string | null; oldTo: Destination; reason: string }
  | { saw: 'stays open'; mate: string; reason: string }
  | OpenPoint
  | { saw: 'goes'; act: Id; slot: Slot; to: Destination }
  | { saw: 'handed over'; to: string }
  | { saw: 'taken back'; reason: string };

/** The one power-up that a permit is for. Permits from before it was said hold as they held then. */
export interface PermitFor {
  stage: PowerStage;
  limiterId: Id;
  /** The limiter as it is set. */
  limiter: string;
  /** The pack as it was measured. */
  packV: number;
  /** Seconds from the asking for which it holds. */
  forS: number;
  /** When the device asked, by its own clock: the device's later times are compared with this. */
  askedAt: string;
  coreVersion: string;
}

/** How the parts lie was looked at and signed. */
export interface LayoutNote {
  saw: 'layout';
  /** What lay where then: another plan is signed again. */
  basis: string;
  /** Margins that do not hold, in words, and how many hold as drawn but not at worst. */
  no: readonly string[];
  tight: number;
  /** Why it goes in all the same: a lead's word. Empty where every margin holds. */
  reason: string;
  /** The record of the picture that stands for margins that nobody knows. */
  pictured?: Id;
}

/** What a gauge showed of a length that the layout had reckoned: it is believed, and the difference is kept. */
export interface MeasuredGap {
  saw: 'gap';
  /** Which margin, and of which parts. */
  kind: string;
  slots: readonly Slot[];
  /** What these parts were then: another model there is another gap. */
  models: readonly string[];
  mm: number;
  reckonedMm: number;
}

/** A wire was cut otherwise than planned: it is as long as the rule said. */
export interface MeasuredLength {
  saw: 'length';
  wire: WireId;
  mm: number;
  reckonedMm: number | null;
}

/** Wires were cut as the cut list says. */
export interface CutNote {
  saw: 'cut';
  /** Offcuts that were cut up, and what stays of each as a new one. */
  from: readonly { stock: Id; wires: readonly WireId[]; left: { id: Id; lengthMm: number } | null }[];
  /** Wire that the kit had taken off a reel, and that no wire needed. */
  back: readonly { stock: Id; mm: number }[];
}

/** One touch of a loose part: terminals without their slot. */
export interface SignatureReading {
  black: TerminalId;
  red: TerminalId;
  mode: 'tone' | 'ohms' | 'diode';
  length: Length | null;
  value: number | null;
  /** The meter shows no number: it is more than it counts to. */
  open?: true;
  passes: readonly Length[];
  band: Range | null;
  verdict: 'pass' | 'stop' | 'record only';
}

/** What the customer says of it, until it is answered by a correction of the same record. */
export interface Symptom {
  saw: 'symptom';
  area: SymptomArea;
  words: string;
  /** null while nobody has said what became of it. */
  answer: { how: 'gone' | 'handed on'; words: string } | null;
}

export const symptomAreas = [
  'power',
  'tones and motors',
  'control',
  'picture',
  'positioning',
  'lights',
  'heat and smell',
  'structure',
] as const;
export type SymptomArea = (typeof symptomAreas)[number];

export const waysOfDying = [
  'crash',
  'ran upside down',
  'a motor held fast',
  'water',
  'at plug-in',
  'in flight',
  'on the bench',
  'nobody knows',
  'it did not die',
] as const;
export type HowDied = (typeof waysOfDying)[number];

/** Where a part that came off goes. */
export type Destination = 'customer' | 'stock' | 'scrap';

/** Something left to be decided; closed or handed on by a correction of the same record. */
export interface OpenPoint {
  saw: 'open point';
  text: string;
  state: 'open' | 'closed' | 'handed on';
  /** How it was closed, or to whom it was handed on. */
  how: string;
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
  /** The acts that mended it. */
  mendedBy?: readonly Id[];
  /** The readings, looks or powers that show it mended. */
  provedBy?: readonly Id[];
  /** Pictures of it. */
  pictures?: readonly Id[];
  /** Why a lead leaves it as it is. */
  acceptedBecause?: string;
}

export type QuadRecord = RecordHead & { body: Act | Note };

/** True for a body that changes the Build. */
export function isAct(body: Act | Note): body is Act {
  return 'do' in body;
}
