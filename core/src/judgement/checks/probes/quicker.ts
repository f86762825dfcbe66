/**
 * An order of touches made quicker: a few in a row are asked elsewhere, or one the other way round, as long as that
 * saves a probe from being set down anew. Source: Or, Traveling salesman-type combinatorial problems (1976): the moves
 * of an order by short runs until none is worth it.
 */
import type { TerminalRef } from '../../../facts/terms/names';
import type { Candidates } from './candidates';
import type { Anchors, Placed } from './hands';

interface Given {
  candidates: Candidates;
  anchors: Anchors;
  /** So many at the beginning stay as they are. */
  fixed: number;
}

const longestRun = 8;
/** Less than this is no gain. */
const worthS = 1e-6;

export function quicker(order: readonly Placed[], { candidates, anchors, fixed }: Given): Placed[] {
  // Each way in which one of them can be asked has a number; the way that it has now is its first.
  const ways = order.map((one) => [one, ...otherWays(one, candidates)]);
  const numbered = ways.flat();
  const firsts = ways.map((own) => numbered.indexOf(own[0]!));
  const turnsOf = ways.flatMap((own, index) => own.map(() => own.map((_, way) => firsts[index]! + way)));
  const search: Search = {
    gap: gapsBetween(numbered, candidates),
    isAllowed: provenIn(numbered, anchors),
    fixed,
  };
  let best = firsts;
  for (let before: typeof best | null = null; before !== best;) {
    before = best;
    for (let length = 1; length <= longestRun; length++)
      for (let from = fixed; from + length <= best.length; from++) {
        const now = best;
        const turns = length === 1 ? turnsOf[now[from]!]!.map((way) => [way]) : [now.slice(from, from + length)];
        for (const run of turns) if (best === now) best = moved(now, from, run, search);
      }
  }
  return best.map((way) => numbered[way]!);
}

interface Search {
  /** Seconds for the probes that are not where they are wanted; before the first: -1, after the last: undefined. */
  gap: (before: number | undefined, after: number | undefined) => number;
  isAllowed: (order: readonly number[]) => boolean;
  fixed: number;
}

/** The order with the run from there asked elsewhere, where that is quicker and allowed; else as it is. */
function moved(order: number[], from: number, run: readonly number[], { gap, isAllowed, fixed }: Search): number[] {
  const past = from + run.length;
  const [before, after] = [order[from - 1], order[past]];
  const [head, tail] = [run[0], run.at(-1)];
  const freed = gap(before, order[from]) + gap(order[past - 1], after) - gap(before, after);
  for (let to = fixed; to <= order.length; to++) {
    if (to > from && to <= past) continue;
    const [left, right] = to === from ? [before, after] : [order[to - 1], order[to]];
    if (gap(left, head) + gap(tail, right) - gap(left, right) > freed - worthS) continue;
    const rest = order.toSpliced(from, run.length);
    const other = rest.toSpliced(to > from ? to - run.length : to, 0, ...run);
    if (isAllowed(other)) return other;
  }
  return order;
}

function otherWays({ place, way }: Placed, { all }: Candidates): Placed[] {
  const turned = all[place]!.ways.find(({ black, red }) => black === way.red && red === way.black);
  return turned ? [{ place, way: turned }] : [];
}

/** Seconds for the probes that are not where they are wanted. */
export function setDownS(before: Placed | undefined, { way }: Placed, { downS }: Candidates): number {
  const down = (ref: TerminalRef, was: TerminalRef | undefined) => (ref === was ? 0 : downS(ref));
  return down(way.black, before?.way.black) + down(way.red, before?.way.red);
}

function gapsBetween(ways: readonly Placed[], candidates: Candidates): Search['gap'] {
  const size = ways.length;
  const known = new Float64Array((size + 1) * size);
  [undefined, ...ways].forEach((before, row) =>
    ways.forEach((after, column) => (known[row * size + column] = setDownS(before, after, candidates))),
  );
  return (before = -1, after = undefined) => (after === undefined ? 0 : known[(before + 1) * size + after]!);
}

/** Whether each silence still comes after what proves contact for it, as far as that is in the list. */
function provenIn(ways: readonly Placed[], anchors: Anchors): Search['isAllowed'] {
  const isListed = new Set(ways.map(({ place }) => place));
  const sidesOf = ways.map(({ place }) =>
    (anchors.get(place) ?? [])
      .map((others) => others.filter((other) => other !== place && isListed.has(other)))
      .filter((others) => others.length > 0),
  );
  return (order) => {
    const asked = new Set<number>();
    return order.every((way) => {
      asked.add(ways[way]!.place);
      return sidesOf[way]!.every((others) => others.some((other) => asked.has(other)));
    });
  };
}
