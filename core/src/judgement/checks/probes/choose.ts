/**
 * Which touches are asked, and in which order: the quickest that show everything that stops or kills, and within the
 * minutes that are allowed what proves most besides.
 */
import type { Solve } from '../../../facts/terms/solver';
import type { Defect } from '../defects/defect';
import type { Candidate } from './candidates';
import { coverOf } from './cover';
import type { Evidence } from './evidence';
import type { Placed } from './hands';
import { inOrder, secondsOf } from './inOrder';
import type { Wish } from './moreProofs';
import { moreProofs } from './moreProofs';

/**
 * proven: what stops or kills, and what kills by a second touch as far as the minutes go; with warnings: in the same
 * minutes also what only warns.
 */
export type ProbeSchool = 'proven' | 'with warnings';

interface Allowed {
  school: ProbeSchool;
  /** Of hands. What stops or kills is asked for whatever it takes. */
  minutes: number;
}

type Chosen = { is: 'chosen'; touches: readonly Placed[]; seconds: number } | { is: 'gave up'; why: string };

export const isGrave = ({ harm }: Pick<Defect, 'harm'>) => harm !== 'warn';

export function choose(evidence: Evidence, allowed: Allowed, solve: Solve): Chosen {
  const { defects, seenBy, candidates, anchors, good } = evidence;
  const mains = candidates.all.slice(0, 2).map((_, index) => index);
  const contacts = mains.map((place) => contactsOn(evidence, candidates.all[place]!.touch.black));
  const cover = coverOf(
    {
      candidates,
      wanted: [
        // Across the pack's own contacts, both ways.
        ...mains.map((place) => [place]),
        ...contacts.filter((by) => by.length > 0),
        ...seenBy.filter((by, index) => isGrave(defects[index]!) && by.length > 0),
      ],
      anchors,
    },
    solve,
  );
  if (cover.is === 'gave up') return cover;
  const ordering = { candidates, good, anchors, contacts, mains };
  const once = inOrder(cover.touches, ordering);
  const wishes = wishesFor(once, evidence, allowed.school);
  let leftS = 60 * allowed.minutes - secondsOf(once, candidates);
  for (;;) {
    const more = moreProofs({ candidates, wishes, anchors, before: once, leftS }, solve);
    const touches = more.length > 0 ? inOrder([...once, ...more], ordering) : once;
    const seconds = secondsOf(touches, candidates);
    const overS = seconds - 60 * allowed.minutes;
    if (more.length === 0 || overS <= 0) return { is: 'chosen', touches, seconds };
    // In between the others they take longer than each for itself.
    leftS -= overS;
  }
}

/** Contact on a main lead is heard as a tone of that lead itself, where one can be. */
function contactsOn({ candidates: { all }, good }: Evidence, lead: Placed['way']['black']): number[] {
  const isOn = ({ touch }: Candidate) => touch.black === lead || touch.red === lead;
  return all.flatMap((candidate, place) => (isOn(candidate) && good(place) === 'sounds' ? [place] : []));
}

/** What a second proof of a fault that kills is worth, and the only one of one that warns. */
const [secondWorth, warningWorth] = [2, 1];

/** What one would like to see besides: what kills once more by a touch that asks something else, and what warns. */
function wishesFor(once: readonly Placed[], evidence: Evidence, school: ProbeSchool): Wish[] {
  const { defects, seenBy, candidates } = evidence;
  const askedOf = askedIn(once, evidence);
  return defects.flatMap(({ harm }, index): Wish[] => {
    const asked = askedOf(index);
    const by = seenBy[index]!.filter((touch) => !asked.has(candidates.all[touch]!.asks));
    if (harm === 'kill' && asked.size === 1) return [{ by, worth: secondWorth }];
    return harm === 'warn' && asked.size === 0 && school === 'with warnings' ? [{ by, worth: warningWorth }] : [];
  });
}

/** What some touches ask of a fault: as many as tell different things. */
export function askedIn(touches: readonly Placed[], { seenBy, candidates }: Evidence): (fault: number) => Set<string> {
  const isAsked = new Set(touches.map(({ place }) => place));
  return (fault) =>
    new Set(seenBy[fault]!.filter((touch) => isAsked.has(touch)).map((touch) => candidates.all[touch]!.asks));
}
