/** What a meter is. */
import type { Id } from './names';

/** What drives the probes. `seriesOhms` null: a constant current of `limitA`, up to `limitV`. */
export interface MeterSource {
  limitV: number;
  limitA: number;
  seriesOhms: number | null;
  /** Above this the mode shows no number, but that it is open: ohms, or volts for diodes. */
  countsTo?: number;
}

/** A meter's card. Its own source is that of the tone. */
export interface Meter extends MeterSource {
  id: Id;
  name: string;
  beepBelowOhms: number;
  stopsAboveOhms: number;
  answerMs: number;
  shortestToneMs: number;
  beepsOnReverse: boolean;
  toneHz: number | null;
  /** Relative spread of threshold and source, for example 0.2. */
  spread: number;
  /** The sources of other modes; one that is not named is the tone's. */
  modes?: { readonly ohms?: MeterSource; readonly diode?: MeterSource };
}

export function sourceOf(meter: Meter, mode: 'tone' | 'ohms' | 'diode'): MeterSource {
  return (mode === 'tone' ? undefined : meter.modes?.[mode]) ?? meter;
}

/** Volts at the probes across so many ohms; without a limit for a constant current. */
export function voltsAcross({ seriesOhms, limitA, limitV }: MeterSource, ohms: number): number {
  return seriesOhms === null ? limitA * ohms : (limitV * ohms) / (seriesOhms + ohms);
}

/** A meter whose card does not say how far it counts shows no number above this. */
export const mostOhms = 1e8;

/** What a meter makes of volts at its probes once they have settled. */
export function ohmsOf({ seriesOhms, limitA, limitV }: MeterSource, settledV: number): number {
  if (seriesOhms === null) return settledV / limitA;
  return Math.min(mostOhms, (settledV * seriesOhms) / Math.max(limitV - settledV, 1e-9));
}
