/**
 * How to make a joint: a fixed table by gauge, starting values of the trade; lead-free solder wants 20 to 40 C more.
 * The heat-flow model takes its place later; a shop's own prevail.
 */
import type { Terminal } from '../../facts/catalogue/partModel';

export type Alloy = 'leaded' | 'lead-free';

/** The shop's or the job's choice of solder. */
export function alloyOf(schools: Readonly<Record<string, string>>): Alloy {
  return schools['solder alloy'] === 'lead-free' ? 'lead-free' : 'leaded';
}

/** Above the leaded setting, and never beyond what flux stands. */
const leadFreeC = 30;
const hottestC = 450;

export interface Recipe {
  tipMm: number;
  setC: number;
  stripMm: number;
  /** Solder flows after, in seconds. */
  flowsS: readonly [min: number, max: number];
  /** If it has not flowed by then: stop, cool, flux, larger tip. */
  stopS: number;
}

const byGauge: readonly {
  thickerThanAwg: number;
  tipMm: number;
  setC: number;
  flowsS: readonly [number, number];
  stopS: number;
}[] = [
  { thickerThanAwg: 17, tipMm: 4.6, setC: 430, flowsS: [3, 8], stopS: 10 },
  { thickerThanAwg: 25, tipMm: 2.4, setC: 400, flowsS: [1, 3], stopS: 4 },
  { thickerThanAwg: Infinity, tipMm: 1.2, setC: 350, flowsS: [0.3, 1.2], stopS: 3 },
];

/** The recipe for a wire of a gauge on a pad. Small signal wires are stripped half the pad, others to its edge. */
export function recipeFor(awg: number, pad: Pick<Terminal, 'sizeMm'>, alloy: Alloy = 'leaded'): Recipe {
  const { tipMm, setC, flowsS, stopS } = byGauge.find(({ thickerThanAwg }) => awg < thickerThanAwg)!;
  const padMm = Math.max(...pad.sizeMm);
  const stripMm = awg >= 25 ? padMm / 2 : Math.min(padMm - 0.4, 5);
  const hotterC = alloy === 'lead-free' ? leadFreeC : 0;
  return { tipMm, setC: Math.min(hottestC, setC + hotterC), stripMm: Math.round(stripMm * 10) / 10, flowsS, stopS };
}
