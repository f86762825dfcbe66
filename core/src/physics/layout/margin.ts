/** One margin of a layout: what there is beyond what is needed, and what would mend it. */
import type { Range, Slot } from '../../facts/terms/names';
import type { PlanChange } from '../../facts/plan/planChange';
import type { Gauge } from './measured';
import { corrected, measuredWords } from './measured';
import type { Reckoned } from './sized';

export type MarginKind =
  | 'thread'
  | 'gap below'
  | 'between boards'
  | 'lid'
  | 'room'
  | 'hole pattern'
  | 'camera'
  | 'reach'
  | 'plug room'
  | 'lead'
  | 'blades'
  | 'bend'
  | 'apart'
  | 'air'
  | 'aerial'
  | 'place';

/**
 * go: it holds even at worst; tight: it holds as things are drawn, not at worst; no: it does not hold; not known: a
 * figure is missing, and somebody must look.
 */
export type MarginVerdict = 'go' | 'tight' | 'no' | 'not known';

export interface Remedy {
  /** What is done, as an order. */
  says: string;
  /** In the plan; none where hands do it. */
  changes: readonly PlanChange[];
}

export interface Margin {
  kind: MarginKind;
  slots: readonly Slot[];
  /** "thread above the top nut" */
  what: string;
  /** Beyond what is needed; null: not known, or nothing that is counted in mm. */
  mm: number | null;
  worstMm: number | null;
  likelyMm: Range | null;
  verdict: MarginVerdict;
  /** A sentence with the figures. */
  says: string;
  remedies: readonly Remedy[];
  /** How it is measured, where a gauge reaches it. */
  gauge?: Gauge;
}

/** Below this much a drawing is not exact. */
const nothingMm = 1e-9;

function verdictOf({ mm, worstMm }: Reckoned): MarginVerdict {
  if (mm < -nothingMm) return 'no';
  return worstMm < -nothingMm ? 'tight' : 'go';
}

type Said = Pick<Margin, 'kind' | 'slots' | 'what' | 'says' | 'gauge'>;

/** @param mend Asked for only where it does not hold at worst. */
export function margin(said: Said, reckoned: Reckoned, mend: () => readonly Remedy[] = () => []): Margin {
  const { gauge } = said;
  const there = gauge ? corrected(reckoned, gauge) : reckoned;
  const verdict = verdictOf(there);
  const says = gauge ? said.says + measuredWords(gauge) : said.says;
  return { ...said, ...there, says, verdict, remedies: verdict === 'go' ? [] : mend() };
}

export function notKnown(said: Said): Margin {
  return { ...said, mm: null, worstMm: null, likelyMm: null, verdict: 'not known', remedies: [] };
}

/** It will do, and somebody should know of it. */
export function mild(said: Said): Margin {
  return { ...notKnown(said), verdict: 'tight' };
}

/** What rests on experience alone warns, and does not stop. */
export function warned(one: Margin): Margin {
  return one.verdict === 'no' ? { ...one, verdict: 'tight' } : one;
}

const order: readonly MarginVerdict[] = ['no', 'not known', 'tight', 'go'];

/** The worst first; what must be looked at before what will do. */
export function worstFirst(margins: readonly Margin[]): Margin[] {
  return [...margins].sort(
    (a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict) || (a.worstMm ?? 0) - (b.worstMm ?? 0),
  );
}
