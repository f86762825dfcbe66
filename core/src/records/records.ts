/**
 * Records: one append-only log per quad. Acts change the Build, notes change nothing physical.
 * Times are UTC in ISO 8601 with milliseconds. `seq` is null until the server has stored the record.
 */
import type { HiddenBy, Fitted, Housing, Mate, WireBody, WireEnd } from '../build/build';
import type { Length, Reading, Site } from '../checks/reading';
import type { HousingId, Id, Range, Slot, TerminalId, TerminalRef, WireId } from '../names';

/** verb:subject, for example `land:W12.b`, `mate:J1`, `check:power path`: the same after every re-plan. */
export type StepId = `${string}:${string}`;

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

export type Act =
  | { do: 'fit'; slot: Slot; fitted: Fitted }
  | { do: 'take off'; slot: Slot; to: 'stock' | 'scrap' | 'customer' | 'bench' }
  | { do: 'land'; wire: WireId; end: 0 | 1; as: WireEnd; body: WireBody; tool?: IronUse; solderLot?: Id }
  | { do: 'reheat'; wire: WireId; end: 0 | 1; dwellS: number | null }
  | { do: 'free'; wire: WireId; end: 0 | 1; left: 'clean' | 'residue' | 'lifted'; now: 'bare' | 'insulated' }
  | { do: 'drop wire'; wire: WireId }
  | { do: 'house'; housing: Housing }
  | { do: 'unhouse'; housing: HousingId }
  | { do: 'mate'; id: string; mate: Mate }
  | { do: 'unmate'; id: string }
  | { do: 'hide'; refs: readonly TerminalRef[]; by: HiddenBy; cureUntil?: string }
  | { do: 'bare'; refs: readonly TerminalRef[] }
  | { do: 'contact'; a: TerminalRef; b: TerminalRef; ohms: number; why: 'screw' | 'rests on' | 'measured' };

export interface IronUse {
  ironId: Id;
  tip: string;
  setC: number;
  dwellS: number | null;
}

export type PowerStage = 'off' | 'usb' | 'limited, dear units unplugged' | 'limited, all' | 'pack';

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

/** A physical item of a part model. */
export interface Part {
  id: Id;
  model: string;
  revision: number;
  serial: string | null;
  batch: string | null;
  /** A customer, or the shop. */
  owner: Id | 'shop';
  origin: 'new' | 'used' | 'off a quad';
  condition: 'untested' | 'tested' | 'doubtful' | 'scrap';
  firmware: string | null;
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
