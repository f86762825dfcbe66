/** What a gauge has shown of a layout: it takes the place of what was reckoned, in this lay and in the next. */
import type { Assembly } from '../../facts/assembly/assembly';
import { gapKey } from '../../facts/log/noteSubject';
import type { MeasuredGap } from '../../facts/log/records';
import type { Slot } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import type { Laid } from './laid';
import type { Margin, MarginKind } from './margin';
import type { Reckoned } from './sized';
import { tenths } from './sized';

/** By margin and parts. */
export type Measured = ReadonlyMap<string, Pick<MeasuredGap, 'mm' | 'reckonedMm'>>;

/** How a margin can be measured. */
export interface Gauge {
  /** What is held between the jaws: "the gap under ESC, squeezed". */
  asks: string;
  /** Of what the gauge shows, this much is needed. */
  needMm: number;
  measured: Pick<MeasuredGap, 'mm' | 'reckonedMm'> | null;
}

/** As a caliper in a hand shows it. */
const caliperMm = 0.1;

/** Notes about parts that are the same still, the last of each gap. */
export function measuredIn(notes: readonly { record: { body: MeasuredGap } }[], assembly: Assembly): Measured {
  const gaps = notes.map(({ record }) => record.body);
  const holding = gaps.filter(({ slots, models }) => modelsOf(assembly, slots).join() === models.join());
  return new Map(holding.map((gap) => [gapKey(gap), gap]));
}

export function gaugeOf(
  { measured }: Pick<Laid, 'measured'>,
  of: { kind: MarginKind; slots: readonly Slot[] },
  asked: Pick<Gauge, 'asks' | 'needMm'>,
): Gauge {
  return { ...asked, measured: measured.get(gapKey(of)) ?? null };
}

/** By how much it was otherwise than reckoned it is otherwise still, also with a washer more. */
export function corrected(reckoned: Reckoned, { measured }: Gauge): Reckoned {
  if (!measured) return reckoned;
  const mm = reckoned.mm + measured.mm - measured.reckonedMm;
  return { mm, worstMm: mm - caliperMm, likelyMm: [mm - caliperMm, mm + caliperMm] };
}

export function measuredWords({ measured }: Gauge): string {
  return measured ? `. Measured: ${tenths(measured.mm)} mm where ${tenths(measured.reckonedMm)} mm was reckoned` : '';
}

/** What is recorded of it. */
export function gapNote({ assembly }: Pick<Laid, 'assembly'>, margin: Margin, mm: number): MeasuredGap | null {
  const shown = shownMm(margin);
  if (shown === null || !margin.gauge) return null;
  const { kind, slots, gauge } = margin;
  // Measured once more: against what was reckoned at first, not against the measured one.
  const offMm = gauge.measured ? gauge.measured.mm - gauge.measured.reckonedMm : 0;
  const reckonedMm = Math.round((shown - offMm) * 100) / 100;
  return { saw: 'gap', kind, slots, models: modelsOf(assembly, slots), mm, reckonedMm };
}

/** What a gauge should show of a margin as it stands. */
function shownMm({ mm, gauge }: Margin): number | null {
  return mm === null || !gauge ? null : mm + gauge.needMm;
}

/** What speaks against a measured length: it lies outside what tolerances allow. */
export function gapDoubt(margin: Margin, mm: number): string | null {
  const { gauge, worstMm } = margin;
  const shown = shownMm(margin);
  if (shown === null || !gauge || worstMm === null) return null;
  const off = margin.mm! - worstMm;
  if (Math.abs(mm - shown) <= off + caliperMm) return null;
  return `${tenths(mm)} mm, where ${tenths(shown - off)} to ${tenths(shown + off)} mm is reckoned: are the mounts squeezed, and is the gauge at nought?`;
}

function modelsOf({ build }: Assembly, slots: readonly Slot[]): string[] {
  return slots.map((slot) => {
    const fitted = lookUp(build.slots, slot);
    return fitted ? `${fitted.model}@${fitted.revision}` : 'gone';
  });
}
