/** A typical card without spread: what is asked of any meter is tried on it. */
import type { Meter } from '../../facts/terms/meter';

export const referenceMeter: Meter = {
  id: 'reference',
  name: 'reference',
  limitV: 1.5,
  limitA: 0.001,
  seriesOhms: 1500,
  beepBelowOhms: 30,
  stopsAboveOhms: 40,
  answerMs: 20,
  shortestToneMs: 40,
  beepsOnReverse: true,
  toneHz: null,
  spread: 0,
};
