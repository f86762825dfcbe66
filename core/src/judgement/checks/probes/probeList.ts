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
import { defectsOf } from '../defects/defectsOf';
import type { ListedTouch, ShownBy, TouchList } from '../touchList';
import type { Candidate } from './candidates';
import { candidatesFor } from './candidates';
import { coverOf } from './cover';
import { inOrder, secondsOf } from './inOrder';
import type { GoodIs } from './meterScale';
import { shownOtherwise } from './otherwise';
import { simulate } from './simulate';

/** proven: everything that stops or kills; with warnings: those that only warn as well. */
export type ProbeSchool = 'proven' | 'with warnings';

interface ProbeRequest {
  meter: Meter;
  solve: Solve;
  school?: ProbeSchool;
  onProgress?: (share: number, says: string) => void;
}

export type ProbeList = { is: 'listed'; list: TouchList } | { is: 'gave up'; why: string };

export function probeList(
  assembly: Assembly,
  { meter, solve, school = 'proven', onProgress = () => undefined }: ProbeRequest,
): ProbeList {
  const defects = defectsOf(assembly);
  const { all, blackS } = candidatesFor(assembly);
  const circuit = compileSound(assembly);
  const { good, shownBy } = simulate(circuit, all, {
    defects,
    meter,
    onProgress: (share) => onProgress(0.8 * share, 'trying every fault'),
  });
  const candidates = { all: all.map((one, place) => (good[place] === 'reads' ? withReading(one) : one)), blackS };
  const anchors = anchorsOf(assembly, all, good);
  const isAnchored = (touch: number) => (anchors.get(touch) ?? []).every((others) => others.length > 0);
  // A tone where none is due is evidence wherever it comes; silence there proves nothing where no anchor can be.
  const seenBy = shownBy.map((touches) => (touches.some(isAnchored) ? touches.filter(isAnchored) : touches));
  const wants = (harm: Severity) => harm !== 'warn' || school === 'with warnings';
  onProgress(0.8, 'choosing the quickest list');
  const mains = all.slice(0, 2).map((_, index) => index);
  const proving = new Map([...anchors].map(([touch, sides]) => [touch, sides.filter((others) => others.length > 0)]));
  // Contact on each main lead is heard as a tone of that lead itself, where one can be.
  const contacts = mains.map((place) => {
    const lead = candidates.all[place]!.touch.black;
    const isOn = ({ touch }: Candidate) => touch.black === lead || touch.red === lead;
    return candidates.all.flatMap((candidate, at) => (good[at] === 'sounds' && isOn(candidate) ? [at] : []));
  });
  const cover = coverOf(
    {
      candidates,
      wanted: [
        // Across the pack's own contacts, both ways.
        ...mains.map((place) => ({ by: [place], times: 1 })),
        ...contacts.filter((by) => by.length > 0).map((by) => ({ by, times: 1 })),
        ...defects.flatMap(({ harm }, index) =>
          wants(harm) && seenBy[index]!.length > 0 ? [{ by: seenBy[index]!, times: harm === 'kill' ? 2 : 1 }] : [],
        ),
      ],
      anchors: proving,
    },
    solve,
  );
  if (cover.is === 'gave up') return cover;
  const ordered = inOrder(cover.touches, { good, anchors: proving, contacts, mains });
  const chosen = new Set(ordered.map(({ place }) => place));
  const unseen = defects.flatMap((defect, place) =>
    wants(defect.harm) && seenBy[place]!.length === 0 ? { defect, place } : [],
  );
  const otherwise = shownOtherwise(assembly, unseen, { circuit, candidates: all, meter, solve });
  const shownFrom = (index: number): ShownBy => {
    if (seenBy[index]!.some((touch) => chosen.has(touch))) return 'list';
    return seenBy[index]!.length > 0 ? 'longer list' : (otherwise.by.get(index) ?? 'no touch');
  };
  const shows = ordered.map(({ place }) =>
    defects.flatMap((_, index) => (shownBy[index]!.includes(place) ? index : [])),
  );
  const touches = ordered.map(({ place, black }, index): ListedTouch => ({
    touch: turned(candidates.all[place]!.touch, black),
    good: good[place]!,
    anchored: isAnchored(place),
    across: across[mains.indexOf(place)] ?? null,
    shows: shows[index]!,
  }));
  const faults = defects.map(({ kind, site, harm }, index) => ({ kind, site, harm, shownBy: shownFrom(index) }));
  return { is: 'listed', list: { touches, faults, loose: otherwise.loose, seconds: secondsOf(ordered, candidates) } };
}

const across = ['main leads', 'main leads exchanged'] as const;

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
      good[index] === 'silent' || good[index] === 'either' ? [[index, [of(black), of(red)]] as const] : [],
    ),
  );
}

/** Assumed: a number is read and typed. */
const readS = 2;

function withReading(candidate: Candidate): Candidate {
  return { ...candidate, ways: candidate.ways.map(({ black, seconds }) => ({ black, seconds: seconds + readS })) };
}

/** The same touch with black where it is set down. */
function turned(touch: Touch, black: TerminalRef): Touch {
  return touch.black === black ? touch : { ...touch, black, red: touch.black };
}
