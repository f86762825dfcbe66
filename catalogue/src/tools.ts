/**
 * Tools that ship with every shop as starting values: the cards of three typical meters and three limiters. The shop's
 * own prevail.
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
  modes: {
    ohms: { limitV: 1, limitA: 0.0004, seriesOhms: null, countsTo: 4e7 },
    diode: { limitV: 3, limitA: 0.001, seriesOhms: null, countsTo: 2 },
  },
};

/** The other two sorts that lie on benches: a current into its limit, and a weak source with a high threshold. */
export const shippedMeters: readonly (Omit<Meter, 'id'> & { name: string })[] = [
  { name: 'Bench meter, typical card', ...shippedMeter },
  {
    name: 'Bench meter, constant current',
    limitV: 2.8,
    limitA: 0.0009,
    seriesOhms: null,
    beepBelowOhms: 50,
    stopsAboveOhms: 70,
    answerMs: 100,
    shortestToneMs: 60,
    beepsOnReverse: false,
    toneHz: 2700,
    spread: 0.15,
    modes: { ohms: { limitV: 0.6, limitA: 0.0003, seriesOhms: null, countsTo: 6e7 } },
  },
  {
    name: 'Pocket meter, weak source',
    limitV: 0.45,
    limitA: 0.0002,
    seriesOhms: 2250,
    beepBelowOhms: 150,
    stopsAboveOhms: 220,
    answerMs: 250,
    shortestToneMs: 200,
    beepsOnReverse: true,
    toneHz: 2000,
    spread: 0.25,
    modes: {
      ohms: { limitV: 0.45, limitA: 0.0002, seriesOhms: 2250, countsTo: 2e6 },
      diode: { limitV: 1.5, limitA: 0.0006, seriesOhms: 2500 },
    },
  },
];

export const shippedTools: readonly {
  kind: 'meter' | 'limiter';
  name: string;
  doc: Omit<Meter, 'id' | 'name'> | Limiter;
}[] = [
  ...shippedMeters.map(({ name, ...doc }) => ({ kind: 'meter' as const, name, doc })),
  { kind: 'limiter', name: 'Electronic breaker, 2\u00a0A', doc: { is: 'breaker', tripA: 2, afterMs: 5, ohms: 0.05 } },
  {
    kind: 'limiter',
    name: 'Lamp 60\u00a0W in series',
    doc: { is: 'lamp', ratedV: 36, ratedW: 60, coldOhms: 1.5, warmS: 0.12 },
  },
  { kind: 'limiter', name: 'Fuse 3\u00a0A', doc: { is: 'fuse', ratedA: 3, meltA2s: 4 } },
];
