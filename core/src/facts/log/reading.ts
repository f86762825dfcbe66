/** What a meter is, what a touch with its probes is, what is expected of it and what was heard. */
import type { Id, Range, TerminalRef } from '../terms/names';
import type { PowerStage } from '../terms/powerStage';
import type { Length } from '../terms/toneLength';
import type { Site } from '../terms/site';

/** Ordered: what came before matters where a capacitor lies across the probes. */
export interface Touch {
  black: TerminalRef;
  red: TerminalRef;
  mode: 'tone' | 'ohms' | 'diode' | 'volts';
  power: PowerStage;
}

/** What a meter is set to, as it is said at the bench. */
export const modeWords: Readonly<Record<Touch['mode'], string>> = {
  tone: 'tone',
  ohms: 'ohms',
  diode: 'diode volts',
  volts: 'volts',
};

export interface Heard {
  length?: Length;
  toneMs?: number;
  /** How long the probes were held; null when it was not timed. */
  heldMs: number | null;
  value?: number;
  /** It shows no number: more than this mode counts to. */
  open?: true;
  unit?: 'ohm' | 'V';
  by: 'key' | 'ear' | 'meter';
  /** Chance that the answer is a slip. */
  wrong: number;
  /** Records of a tone on the same net as each probe, or null where there is none. */
  anchors: { black: Id | null; red: Id | null };
}

export interface Expectation {
  touch: Touch;
  from: 'computed' | 'learned' | 'maker' | 'none';
  /** Every length that a good build can show. */
  passes: readonly Length[];
  band: Range | null;
  /** A good build may show no number: more than the meter counts to. */
  open?: true;
  /** Volts left on each capacitor of the circuit afterwards, by element id. */
  chargeAfterV: Readonly<Record<string, number>>;
  /** The places whose failure would change the reading. */
  because: readonly Site[];
}

export type Verdict = 'pass' | 'stop' | 'look again' | 'record only';

/** Judged once and kept: newer software never judges it again. */
export interface Reading {
  touch: Touch;
  meterId: Id;
  heard: Heard;
  expected: Expectation;
  verdict: Verdict;
  coreVersion: string;
}
