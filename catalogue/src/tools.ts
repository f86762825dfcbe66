/**
 * Tools that ship with every shop as starting values: a typical meter's card and three limiters. The shop's own
 * prevail.
 */
import type { Meter } from '@junctor/core';

export type Limiter =
  | { is: 'lamp'; ratedV: number; ratedW: number; coldOhms: number; warmS: number }
  | { is: 'breaker'; tripA: number; afterMs: number; ohms: number }
  | { is: 'fuse'; ratedA: number; meltA2s: number };

export const shippedMeter: Omit<Meter, 'id' | 'name'> = {
  limitV: 1.5,
  limitA: 0.001,
  seriesOhms: 1500,
  beepBelowOhms: 30,
  stopsAboveOhms: 40,
  answerMs: 20,
  shortestToneMs: 40,
  beepsOnReverse: true,
  toneHz: 2400,
  spread: 0.2,
};

export const shippedTools: readonly {
  kind: 'meter' | 'limiter';
  name: string;
  doc: Omit<Meter, 'id' | 'name'> | Limiter;
}[] = [
  { kind: 'meter', name: 'Bench meter, typical card', doc: shippedMeter },
  { kind: 'limiter', name: 'Electronic breaker, 2\u00a0A', doc: { is: 'breaker', tripA: 2, afterMs: 5, ohms: 0.05 } },
  {
    kind: 'limiter',
    name: 'Lamp 60\u00a0W in series',
    doc: { is: 'lamp', ratedV: 36, ratedW: 60, coldOhms: 1.5, warmS: 0.12 },
  },
  { kind: 'limiter', name: 'Fuse 3\u00a0A', doc: { is: 'fuse', ratedA: 3, meltA2s: 4 } },
];
