/** What a reading that no good build shows can be: single faults with which the meter would show just that. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Reading } from '../../facts/log/reading';
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
  /** Of them those that another touch has ruled out. */
  cleared: readonly number[];
}

/** Everything that would read so, what comes about most often first; empty where no single fault of the list would. */
export function causesOf(assembly: Assembly, { reading, meter, shown, cleared }: CausesAsked): Defect[] {
  const { touch, heard } = reading;
  const all = defectsOf(assembly);
  const isCleared = new Set(cleared);
  const proven = { ...heard, anchors: { black: 'proven', red: 'proven' } };
  return shown
    .filter((place) => !isCleared.has(place))
    .map((place) => all[place]!)
    .filter((defect) => judgeReading(expectIn(circuitWith(assembly, defect), touch, { meter }), proven) === 'pass')
    .sort((a, b) => b.often - a.often);
}
