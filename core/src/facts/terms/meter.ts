/** What a meter is. */
import type { Id } from './names';

/** A meter's card. `seriesOhms` null: a constant-current source of `limitA`, capped at `limitV`. */
export interface Meter {
  id: Id;
  name: string;
  limitV: number;
  limitA: number;
  seriesOhms: number | null;
  beepBelowOhms: number;
  stopsAboveOhms: number;
  answerMs: number;
  shortestToneMs: number;
  beepsOnReverse: boolean;
  toneHz: number | null;
  /** Relative spread of threshold and source, for example 0.2. */
  spread: number;
}
