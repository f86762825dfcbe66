/**
 * Touches in the order of work: contact on both main leads first, the main leads both ways, then all with black in one
 * place together, the main leads last; of those what proves contact before the silences that stand on it.
 */
import type { TerminalRef } from '../../../facts/terms/names';
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { Candidates } from './candidates';
import type { GoodIs } from './meterScale';

interface Placed {
  /** In the list of candidates. */
  place: number;
  black: TerminalRef;
}

interface Given {
  good: readonly GoodIs[];
  /** For a silence: for each of its probes the touches that prove contact there. */
  anchors: ReadonlyMap<number, readonly (readonly number[])[]>;
  /** For each main lead the touches that would sound on it. */
  contacts: readonly (readonly number[])[];
  /** Places of the two across the main leads. */
  mains: readonly number[];
}

const rank: readonly GoodIs[] = ['sounds', 'reads', 'either', 'unsure', 'silent'];

export function inOrder(touches: readonly Placed[], { good, anchors, contacts, mains }: Given): Placed[] {
  const rankOf = ({ place }: Placed) => rank.indexOf(good[place]!);
  const byRank = (a: Placed, b: Placed) => rankOf(a) - rankOf(b) || a.place - b.place;
  const across = mains.flatMap((place) => touches.find((one) => one.place === place) ?? []);
  const blacks = new Set(across.map(({ black }) => black));
  const sides = anchors.get(mains[0]!) ?? [];
  const opening = mains.flatMap((_, side) => {
    const of = (places: readonly number[] = []) => touches.filter(({ place }) => places.includes(place)).sort(byRank);
    return [...of(contacts[side]), ...of(sides[side])].slice(0, 1);
  });
  // Black lies on minus for the first of the two: its own anchor comes last.
  const first = [...new Set([...opening.reverse(), ...across])];
  const rest = touches.filter((one) => !first.includes(one)).sort(byRank);
  const groups = [...groupedBy(rest, ({ black }) => black).values()].sort((few, many) => many.length - few.length);
  // The main leads last: most of what is silent against them stands on tones between the others.
  groups.sort((a, b) => Number(blacks.has(a[0]!.black)) - Number(blacks.has(b[0]!.black)));
  return provenFirst([...first, ...groups.flat()], anchors);
}

/** What stands on a touch to come waits until the end, with black in one place together again. */
function provenFirst(touches: readonly Placed[], anchors: Given['anchors']): Placed[] {
  const asked = new Set<number>();
  const later: Placed[] = [];
  const now = touches.filter((one) => {
    const isReady = (anchors.get(one.place) ?? []).every(
      (others) => others.some((other) => asked.has(other)) || !touches.some(({ place }) => others.includes(place)),
    );
    if (isReady) asked.add(one.place);
    else later.push(one);
    return isReady;
  });
  return [...now, ...later];
}

/** Seconds of hands for touches in their order: black is set down anew wherever it changes. */
export function secondsOf(touches: readonly Placed[], { all, blackS }: Candidates): number {
  return touches.reduce((sum, { place, black }, index) => {
    const red = all[place]!.ways.find((way) => way.black === black)!.seconds;
    return sum + red + (touches[index - 1]?.black === black ? 0 : blackS(black));
  }, 0);
}
