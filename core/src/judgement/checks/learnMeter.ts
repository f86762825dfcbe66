/**
 * A meter's card learned at the bench in five minutes: which of a handful of resistors sound, what two of them show in
 * diode volts, how long a known capacitor sounds from empty.
 * Source of the charging law: from empty a tone lasts C Rs ln(1 + Rt / Rs) behind a series resistance Rs, and C Rt from
 * a constant current; Rt is where it ceases to sound.
 */
import type { Meter, MeterSource } from '../../facts/terms/meter';

export interface BenchTries {
  /** On tone: which resistors sound. */
  tones: readonly { ohms: number; sounds: boolean }[];
  /** On diode volts: two resistors, and up to where it shows numbers. */
  diode: { readings: readonly { ohms: number; volts: number }[]; countsTo: number };
  /** On tone, emptied before; null where none was at hand. */
  capacitor: { farads: number; toneMs: number } | null;
}

type Card = Omit<Meter, 'id' | 'name'>;

export type Learned = { is: 'card'; card: Card } | { is: 'not yet'; why: string };

/** What a meter of which nothing else is known is taken for. */
const usual = { limitV: 1.5, answerMs: 100, shortestToneMs: 60, beepsOnReverse: true, toneHz: null } as const;
const leastSpread = 0.05;
/** Numbers that a hand reads agree so far. */
const alike = 0.04;

export function learnMeter({ tones, diode, capacitor }: BenchTries): Learned {
  const sounding = Math.max(...tones.filter(({ sounds }) => sounds).map(({ ohms }) => ohms));
  const silent = Math.min(...tones.filter(({ sounds }) => !sounds).map(({ ohms }) => ohms));
  if (!(sounding > 0)) return { is: 'not yet', why: 'No resistor has sounded: try a smaller one' };
  if (!Number.isFinite(silent)) return { is: 'not yet', why: 'Every resistor has sounded: try a greater one' };
  if (sounding >= silent)
    return { is: 'not yet', why: `${sounding} Ω sounds and ${silent} Ω does not: one of them is not what it says` };
  const source = diodeSource(diode.readings);
  if ('why' in source) return { is: 'not yet', why: source.why };
  const thresholdOhms = Math.sqrt(sounding * silent);
  const seriesOhms = capacitor ? seriesFrom(capacitor, thresholdOhms) : source.seriesOhms;
  const limitA = seriesOhms === null ? source.limitA : usual.limitV / seriesOhms;
  const limitV = Math.max(source.limitV, diode.countsTo);
  return {
    is: 'card',
    card: {
      ...usual,
      seriesOhms,
      limitA: round(limitA),
      beepBelowOhms: round(thresholdOhms),
      stopsAboveOhms: round(thresholdOhms),
      spread: round(Math.max(leastSpread, silent / thresholdOhms - 1)),
      modes: { diode: { ...source, limitV, countsTo: diode.countsTo } },
    },
  };
}

/** From two readings: the same current through both, or one source behind one series resistance. */
function diodeSource(readings: BenchTries['diode']['readings']): MeterSource | { why: string } {
  const [one, other] = [...readings].sort((a, b) => a.ohms - b.ohms);
  if (!one || !other || one.ohms === other.ohms) return { why: 'Two different resistors are wanted in diode volts' };
  if (one.volts <= 0 || other.volts <= one.volts)
    return { why: 'The greater resistor must show more volts than the smaller one' };
  const [slope, intercept] = [
    (1 / one.volts - 1 / other.volts) / (1 / one.ohms - 1 / other.ohms),
    (one.ohms / one.volts - other.ohms / other.volts) / (one.ohms - other.ohms),
  ];
  const isConstant = Math.abs(one.volts / one.ohms / (other.volts / other.ohms) - 1) < alike;
  if (isConstant || intercept <= 0)
    return { limitA: round(other.volts / other.ohms), limitV: other.volts, seriesOhms: null };
  return { limitV: round(1 / intercept), limitA: round(1 / slope), seriesOhms: round(slope / intercept) };
}

/** Null: a constant current. */
function seriesFrom({ farads, toneMs }: NonNullable<BenchTries['capacitor']>, thresholdOhms: number): number | null {
  const wanted = toneMs / 1000 / farads;
  if (wanted >= thresholdOhms * (1 - alike)) return null;
  // Longer with a greater resistance, up to that of a constant current.
  let [low, high] = [1, 1e6];
  for (let step = 0; step < 60; step++) {
    const middle = Math.sqrt(low * high);
    if (middle * Math.log1p(thresholdOhms / middle) < wanted) low = middle;
    else high = middle;
  }
  return round(high);
}

function round(value: number): number {
  return Number(value.toPrecision(3));
}
