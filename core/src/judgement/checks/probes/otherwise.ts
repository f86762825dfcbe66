/** What no touch with everything mated shows: on the loose part, with a plug apart, by a better meter, or never. */
import type { Assembly } from '../../../facts/assembly/assembly';
import type { Touch } from '../../../facts/log/reading';
import type { Meter } from '../../../facts/terms/meter';
import type { Solve } from '../../../facts/terms/solver';
import type { Circuit } from '../../../physics/circuit/compile';
import type { ShownBy, TouchList } from '../touchList';
import { seenByBetter } from './betterMeter';
import type { Candidate } from './candidates';
import type { Unseen } from './looseParts';
import { looseTouches } from './looseParts';
import { plugsApart } from './plugsApart';

interface With {
  circuit: Circuit;
  candidates: readonly Candidate[];
  meter: Meter;
  solve: Solve;
  /** What is asked with everything mated. */
  asked: readonly Touch[];
}

/** @returns The readings of loose parts and with a plug apart, and for each fault by its place what shows it. */
export function shownOtherwise(
  assembly: Assembly,
  unseen: readonly Unseen[],
  { circuit, candidates, meter, solve, asked }: With,
): Pick<TouchList, 'loose' | 'apart'> & { by: ReadonlyMap<number, ShownBy> } {
  const loose = looseTouches(assembly, unseen, { meter, solve });
  const whileLoose = new Set(Object.values(loose).flatMap((own) => own.flatMap(({ shows }) => shows)));
  const apart = plugsApart(assembly, unseen, { meter, solve, asked });
  const whileApart = new Set(Object.values(apart).flatMap(({ touches }) => touches.flatMap(({ shows }) => shows)));
  const rest = unseen.filter(({ place }) => !whileLoose.has(place) && !whileApart.has(place));
  const byBetter = seenByBetter(circuit, candidates, { defects: rest.map(({ defect }) => defect), meter });
  const by = new Map<number, ShownBy>([
    ...[...whileApart].map((place) => [place, 'plug apart'] as const),
    ...[...whileLoose].map((place) => [place, 'loose part'] as const),
    ...rest.map(({ place }, index) => [place, byBetter[index] ? 'better meter' : 'no touch'] as const),
  ]);
  return { loose, apart, by };
}
