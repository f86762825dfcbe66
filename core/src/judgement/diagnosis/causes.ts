/** What a reading that no good build shows can be: single faults with which the meter would show just that. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Expectation, Heard, Reading } from '../../facts/log/reading';
import type { Meter } from '../../facts/terms/meter';
import type { Defect } from '../checks/defects/defect';
import { defectsOf } from '../checks/defects/defectsOf';
import { expectIn } from '../checks/expect';
import { judgeReading } from '../checks/judgeReading';
import { circuitWith } from '../checks/probes/contrast';

interface CausesAsked {
  reading: Pick<Reading, 'touch' | 'heard'>;
  meter: Meter;
  /** Places in the list of faults of this build: those that the touch would show. */
  shown: readonly number[];
  /** Those that another touch speaks against: it read as a good build does, as it may where two are wrong. */
  cleared: readonly number[];
}

/** A fault is put in as one size of itself; a true one reads near that. */
const nearV = 0.1;

/**
 * Everything that would read so, what comes about most often first; then what would read near it, and what another
 * touch speaks against. Empty where no single fault of the list would.
 */
export function causesOf(assembly: Assembly, { reading, meter, shown, cleared }: CausesAsked): Defect[] {
  const { touch, heard } = reading;
  const all = defectsOf(assembly);
  const isCleared = new Set(cleared);
  const proven: Heard = { ...heard, anchors: { black: 'proven', red: 'proven' } };
  const fits = (defect: Defect) => howNear(expectIn(circuitWith(assembly, defect), touch, { meter }), proven);
  const among = (places: readonly number[]) =>
    places
      .map((place) => ({ defect: all[place]!, near: fits(all[place]!), isSpokenAgainst: isCleared.has(place) }))
      .filter(({ near }) => near !== 'far')
      .sort((a, b) => doubts(a) - doubts(b) || b.defect.often - a.defect.often)
      .map(({ defect }) => defect);
  const likely = among(shown);
  if (likely.length > 0) return likely;
  // What the list does not count on showing here may show all the same.
  const isShown = new Set(shown);
  return among([...all.keys()].filter((place) => !isShown.has(place)));
}

/** Another touch weighs more than some millivolts. */
function doubts({ near, isSpokenAgainst }: { near: string; isSpokenAgainst: boolean }): number {
  return 2 * Number(isSpokenAgainst) + Number(near === 'near');
}

function howNear(expected: Expectation, heard: Heard): 'so' | 'near' | 'far' {
  if (judgeReading(expected, heard) === 'pass') return 'so';
  const { value } = heard;
  if (value === undefined || !expected.band || expected.touch.mode !== 'diode') return 'far';
  return value >= expected.band[0] - nearV && value <= expected.band[1] + nearV ? 'near' : 'far';
}
