/**
 * The list of touches before first power, made from what can be wrong with this build: which faults it shows, which it
 * cannot, and how long it takes.
 */
import type { Assembly } from '../../../facts/assembly/assembly';
import type { Meter } from '../../../facts/terms/meter';
import type { Solve } from '../../../facts/terms/solver';
import { compileSound } from '../../../physics/circuit/compile';
import { usualList } from '../listSchool';
import { defectsOf } from '../defects/defectsOf';
import type { ListedFault, ListedTouch, ShownBy, TouchList } from '../touchList';
import { candidatesFor, candidatesInOhms } from './candidates';
import type { ProbeSchool } from './choose';
import { askedIn, choose, isGrave } from './choose';
import { evidenceOf } from './evidence';
import { shownOtherwise } from './otherwise';
import { simulator } from './simulate';

interface ProbeRequest {
  meter: Meter;
  solve: Solve;
  school?: ProbeSchool;
  minutes?: number;
  onProgress?: (share: number, says: string) => void;
}

export type ProbeList = { is: 'listed'; list: TouchList } | { is: 'gave up'; why: string };

export function probeList(
  assembly: Assembly,
  { meter, solve, school = usualList.school, minutes = usualList.minutes, onProgress = () => undefined }: ProbeRequest,
): ProbeList {
  const defects = defectsOf(assembly);
  const circuit = compileSound(assembly);
  const quick = candidatesFor(assembly, defects);
  const simulate = simulator(circuit, { defects, meter });
  const first = simulate(quick.all, (share) => onProgress(0.8 * share, 'trying every fault'));
  const dark = defects.filter((defect, fault) => isGrave(defect) && first.shownBy[fault]!.length === 0);
  const inOhms = candidatesInOhms(assembly, dark, quick);
  const second = simulate(inOhms.all);
  const candidates = { ...quick, all: [...quick.all, ...inOhms.all] };
  const isQuick = (place: number) => place < quick.all.length;
  const good = (place: number) => (isQuick(place) ? first.good(place) : second.good(place - quick.all.length));
  const shownBy = first.shownBy.map((places, fault) => [
    ...places,
    ...second.shownBy[fault]!.map((place) => quick.all.length + place),
  ]);
  const evidence = evidenceOf(assembly, { defects, candidates, good, shownBy });
  onProgress(0.8, 'choosing the quickest list');
  const chosen = choose(evidence, { school, minutes }, solve);
  if (chosen.is === 'gave up') return chosen;
  const { seenBy, isAnchored } = evidence;
  const unseen = defects.flatMap((defect, place) =>
    isGrave(defect) && seenBy[place]!.length === 0 ? { defect, place } : [],
  );
  const touches = chosen.touches.map(({ place, way: { black, red } }): ListedTouch => ({
    touch: { ...candidates.all[place]!.touch, black, red },
    good: good(place),
    anchored: isAnchored(place),
    across: across[place] ?? null,
    shows: shownBy.flatMap((by, fault) => (by.includes(place) ? [fault] : [])),
  }));
  const otherwise = shownOtherwise(assembly, unseen, {
    circuit,
    candidates: quick.all,
    meter,
    solve,
    asked: touches.map(({ touch }) => touch),
  });
  const askedOf = askedIn(chosen.touches, evidence);
  const faults = defects.map(({ kind, site, harm }, place): ListedFault => {
    const proofs = askedOf(place).size;
    const elsewhere: ShownBy = seenBy[place]!.length > 0 ? 'longer list' : (otherwise.by.get(place) ?? 'no touch');
    return { kind, site, harm, shownBy: proofs > 0 ? 'list' : elsewhere, proofs };
  });
  const { loose, apart } = otherwise;
  const list = { touches, faults, loose, apart, seconds: chosen.seconds };
  return { is: 'listed', list };
}

/** By the place among the candidates: these two are asked for in any case. */
const across = ['main leads', 'main leads exchanged'] as const;
