/** What a better meter would see of what this one does not: one that drives junctions as good bench meters do. */
import type { Meter } from '../../../facts/terms/meter';
import { sourceOf } from '../../../facts/terms/meter';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Defect } from '../defects/defect';
import type { Candidate } from './candidates';
import { simulator } from './simulate';

/** Assumed of good ones: a milliampere up to 3 V, shown up to 2 V. */
const goodDiode = { limitV: 3, limitA: 1e-3, seriesOhms: null, countsTo: 2 } as const;

/** For each defect whether a better meter would show it at some touch; none where this one is as good. */
export function seenByBetter(
  circuit: Circuit,
  candidates: readonly Candidate[],
  { defects, meter }: { defects: readonly Defect[]; meter: Meter },
): readonly boolean[] {
  const own = sourceOf(meter, 'diode');
  const isAsGood = own.limitV >= goodDiode.limitV && (own.countsTo ?? own.limitV) >= goodDiode.countsTo;
  if (isAsGood || defects.length === 0) return defects.map(() => false);
  const better = { ...meter, modes: { ...meter.modes, diode: goodDiode } };
  const junctions = candidates.filter(({ touch }) => touch.mode === 'diode');
  const { shownBy } = simulator(circuit, { defects, meter: better })(junctions);
  return shownBy.map((touches) => touches.length > 0);
}
