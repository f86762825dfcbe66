/** Touches of which no other does all that they do, as quickly: only these can be in a quickest list. */
import type { Candidates } from './candidates';
import type { Anchors } from './hands';
import { aloneS, parkedAt } from './hands';

interface Given {
  candidates: Candidates;
  anchors: Anchors;
}

type Row = readonly number[];

/** @param rows For each fault the touches that show it. @returns The same without touches that another one outdoes. */
export function worthAsking(rows: readonly Row[], given: Given): { rows: Row[]; anchors: Anchors } {
  const isUsed = new Set(rows.flat());
  for (const touch of isUsed) for (const other of (given.anchors.get(touch) ?? []).flat()) isUsed.add(other);
  const sides = new Set([...given.anchors].flatMap(([touch, own]) => (isUsed.has(touch) ? own : [])));
  // What a touch is good for: it shows a fault, or proves a side of a silence.
  const uses = new Map<number, Set<Row>>([...isUsed].map((touch) => [touch, new Set()]));
  for (const by of [...rows, ...sides]) for (const touch of by) uses.get(touch)!.add(by);
  const costs = new Map([...isUsed].map((touch) => [touch, costOf(touch, given)]));
  const outdoes = (one: number, other: number): boolean => {
    const [quick, slow] = [costs.get(one)!, costs.get(other)!];
    return (
      isWithin(uses.get(other)!, uses.get(one)!) &&
      [...slow].every(([park, seconds]) => (quick.get(park) ?? Infinity) <= seconds) &&
      isWithin(new Set(given.anchors.get(one) ?? []), new Set(given.anchors.get(other) ?? []))
    );
  };
  const isGone = new Set<number>();
  for (const [touch, own] of uses) {
    const [rivals] = own as Set<Row>;
    if (rivals!.some((rival) => rival !== touch && !isGone.has(rival) && outdoes(rival, touch))) isGone.add(touch);
  }
  const left = (touches: Row) => touches.filter((touch) => !isGone.has(touch));
  return { rows: rows.map(left), anchors: new Map([...given.anchors].map(([touch, own]) => [touch, own.map(left)])) };
}

/** Seconds of each way of asking, by the place where a probe is parked for it. */
function costOf(touch: number, { candidates }: Given): Map<string, number> {
  return new Map(candidates.all[touch]!.ways.map((way) => [parkedAt(way), aloneS(touch, way, candidates)]));
}

function isWithin(one: ReadonlySet<unknown>, other: ReadonlySet<unknown>): boolean {
  return one.size <= other.size && [...one].every((each) => other.has(each));
}
