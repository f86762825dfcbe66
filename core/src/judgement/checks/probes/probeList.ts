/**
 * The list of touches before first power, made from what can be wrong with this build: which faults it shows, which it
 * cannot, and how long it takes.
 */
import type { Assembly } from '../../../facts/assembly/assembly';
import { sound } from '../../../facts/wiring/sound';
import { netlist } from '../../../facts/wiring/netlist';
import type { Meter } from '../../../facts/terms/meter';
import type { Solve } from '../../../facts/terms/solver';
import type { TerminalRef } from '../../../facts/terms/names';
import { compileSound } from '../../../physics/circuit/compile';
import type { Touch } from '../../../facts/log/reading';
import type { Severity } from '../../rules/finding';
import type { Defect } from '../defects/defect';
import { defectsOf } from '../defects/defectsOf';
import type { Candidate } from './candidates';
import { candidatesFor } from './candidates';
import { coverOf } from './cover';
import type { GoodIs } from './meterScale';
import { simulate } from './simulate';

/** proven: everything that stops or kills; with warnings: those that only warn as well. */
export type ProbeSchool = 'proven' | 'with warnings';

interface ProbeRequest {
  meter: Meter;
  solve: Solve;
  school?: ProbeSchool;
  onProgress?: (share: number, says: string) => void;
}

export interface ListedProbe {
  touch: Touch;
  good: GoodIs;
  /** False: a silence there proves nothing, since nothing can sound on that metal. */
  anchored: boolean;
  /** The faults that it would show. */
  shows: readonly Defect[];
}

export type ProbeList =
  | {
      is: 'listed';
      touches: readonly ListedProbe[];
      seconds: number;
      shown: readonly Defect[];
      notShown: readonly Defect[];
    }
  | { is: 'gave up'; why: string };

export function probeList(
  assembly: Assembly,
  { meter, solve, school = 'proven', onProgress = () => undefined }: ProbeRequest,
): ProbeList {
  const defects = defectsOf(assembly);
  const candidates = candidatesFor(assembly);
  const { good, shownBy } = simulate(compileSound(assembly), candidates.all, {
    defects,
    meter,
    onProgress: (share) => onProgress(0.8 * share, 'trying every fault'),
  });
  const anchors = anchorsOf(assembly, candidates.all, good);
  const isAnchored = (touch: number) => (anchors.get(touch) ?? []).every((others) => others.length > 0);
  // A tone where none is due is evidence wherever it comes; silence there proves nothing where no anchor can be.
  const seenBy = shownBy.map((touches) => (touches.some(isAnchored) ? touches.filter(isAnchored) : touches));
  const wants = (harm: Severity) => harm !== 'warn' || school === 'with warnings';
  onProgress(0.8, 'choosing the quickest list');
  const cover = coverOf(
    {
      candidates,
      wanted: [
        // Across the pack's own contacts, both ways.
        ...candidates.all.slice(0, 2).map((_, index) => ({ by: [index], times: 1 })),
        ...defects.flatMap(({ harm }, index) =>
          wants(harm) && seenBy[index]!.length > 0 ? [{ by: seenBy[index]!, times: harm === 'kill' ? 2 : 1 }] : [],
        ),
      ],
      anchors: new Map([...anchors].map(([touch, sides]) => [touch, sides.filter((others) => others.length > 0)])),
    },
    solve,
  );
  if (cover.is === 'gave up') return cover;
  const chosen = new Set(cover.touches.map(({ place }) => place));
  const isShown = (index: number) => seenBy[index]!.some((touch) => chosen.has(touch));
  return {
    is: 'listed',
    touches: inOrder(cover.touches, good).map(({ place, black }) => ({
      touch: turned(candidates.all[place]!.touch, black),
      good: good[place]!,
      anchored: isAnchored(place),
      shows: defects.filter((_, defect) => shownBy[defect]!.includes(place)),
    })),
    seconds: cover.seconds,
    shown: defects.filter((_, index) => isShown(index)),
    notShown: defects.filter((_, index) => !isShown(index)),
  };
}

/** For a silence: for each of its probes the touches that prove that copper is met there. */
function anchorsOf(
  assembly: Assembly,
  candidates: readonly Candidate[],
  good: readonly GoodIs[],
): Map<number, readonly (readonly number[])[]> {
  const nets = netlist(sound(assembly));
  const proving = new Map<unknown, number[]>();
  candidates.forEach(({ touch: { black, red } }, index) => {
    if (good[index] !== 'sounds' && good[index] !== 'reads') return;
    for (const net of new Set([nets.netOf(black), nets.netOf(red)]))
      proving.set(net, [...(proving.get(net) ?? []), index]);
  });
  const of = (ref: TerminalRef) => proving.get(nets.netOf(ref)) ?? [];
  return new Map(
    candidates.flatMap(({ touch: { black, red } }, index) =>
      good[index] === 'silent' ? [[index, [of(black), of(red)]] as const] : [],
    ),
  );
}

/** The same touch with black where it is set down. */
function turned(touch: Touch, black: TerminalRef): Touch {
  return touch.black === black ? touch : { ...touch, black, red: touch.black };
}

interface Placed {
  /** In the list of candidates. */
  place: number;
  black: TerminalRef;
}

/** All with black in one place together, where most are first; of those what proves contact, then the silences. */
function inOrder(touches: readonly Placed[], good: readonly GoodIs[]): Placed[] {
  const rank: readonly GoodIs[] = ['sounds', 'reads', 'silent'];
  const rankOf = ({ place }: Placed) => rank.indexOf(good[place]!);
  const onBlack = new Map<TerminalRef, Placed[]>();
  for (const one of touches) onBlack.set(one.black, [...(onBlack.get(one.black) ?? []), one]);
  return [...onBlack.values()]
    .sort((few, many) => many.length - few.length)
    .flatMap((own) => own.sort((a, b) => rankOf(a) - rankOf(b) || a.place - b.place));
}
