/**
 * Touches in the order of work: contact on both main leads first, the main leads both ways, then so that each probe
 * stays as long as it can, what stands on the main leads late; what proves contact before silences that stand on it.
 */
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { Candidates } from './candidates';
import type { Anchors, Placed } from './hands';
import { parkedAt } from './hands';
import type { GoodIs } from './meterScale';
import { quicker, setDownS } from './quicker';

interface Given {
  candidates: Candidates;
  good: (place: number) => GoodIs;
  anchors: Anchors;
  /** For each main lead the touches that would sound on it. */
  contacts: readonly (readonly number[])[];
  /** Places of the two across the main leads. */
  mains: readonly number[];
}

const rank: readonly GoodIs[] = ['sounds', 'reads', 'either', 'unsure', 'silent'];

export function inOrder(touches: readonly Placed[], { candidates, good, anchors, contacts, mains }: Given): Placed[] {
  const rankOf = ({ place }: Placed) => rank.indexOf(good(place));
  const byRank = (a: Placed, b: Placed) => rankOf(a) - rankOf(b) || a.place - b.place;
  const across = mains.flatMap((place) => touches.find((one) => one.place === place) ?? []);
  const onMains = new Set(across.map(({ way }) => parkedAt(way)));
  const sides = anchors.get(mains[0]!) ?? [];
  const opening = mains.flatMap((_, side) => {
    const of = (places: readonly number[] = []) => touches.filter(({ place }) => places.includes(place)).sort(byRank);
    return [...of(contacts[side]), ...of(sides[side])].slice(0, 1);
  });
  // Black lies on minus for the first of the two: its own anchor comes last.
  const first = [...new Set([...opening.reverse(), ...across])];
  const rest = touches.filter((one) => !first.includes(one)).sort(byRank);
  const groups = [...groupedBy(rest, ({ way }) => parkedAt(way)).values()].sort(
    (few, many) => many.length - few.length,
  );
  // The main leads last: most of what is silent against them stands on tones between the others.
  groups.sort((a, b) => Number(onMains.has(parkedAt(a[0]!.way))) - Number(onMains.has(parkedAt(b[0]!.way))));
  const order = provenFirst([...first, ...groups.flat()], anchors);
  return quicker(order, { candidates, anchors, fixed: first.length });
}

/** What stands on a touch to come waits until the end, with a probe in one place together again. */
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

/** Seconds of hands for touches in their order. */
export function secondsOf(touches: readonly Placed[], candidates: Candidates): number {
  return touches.reduce(
    (sum, one, index) => sum + candidates.all[one.place]!.answerS + setDownS(touches[index - 1], one, candidates),
    0,
  );
}
