/**
 * Touches as a model for the solver: each is asked in one of its ways, a probe is set down once for all touches while
 * which it stays there, and a silence is asked only where both probes have sounded or read on the same copper.
 */
import { groupedBy } from '../../../facts/terms/groupedBy';
import { lookUp } from '../../../facts/terms/lookUp';
import type { Constraint, Solution, Terms } from '../../../facts/terms/solver';
import type { Candidates, Way } from './candidates';

/** A touch of the list: its place among the candidates, and how it is asked. */
export interface Placed {
  place: number;
  way: Way;
}

/** For a touch that proves nothing unless others have: for each probe those others. */
export type Anchors = ReadonlyMap<number, readonly (readonly number[])[]>;

interface Given {
  anchors: Anchors;
  /** What is asked in any case. */
  isAsked?: ReadonlySet<number>;
  /** Where a probe stays in any case, and so costs nothing more. */
  isParked?: ReadonlySet<string>;
}

interface Hands {
  constraints: readonly Constraint[];
  seconds: Terms;
  binaries: readonly string[];
  chosen: (values: Extract<Solution, { is: 'optimal' }>['values']) => Placed[];
}

/** A way of asking in the model; `park` where the probe is parked for others as well. */
interface Asking extends Placed {
  name: string;
  seconds: number;
  park: string | null;
}

export const touchName = (touch: number) => `t${touch}`;
/** Where a probe stays: the same for all touches while which it does. */
export const parkedAt = (way: Way) => `${way.parked} ${way[way.parked]}`;

/** Seconds of hands while the parked probe stays where it is. */
export function aloneS(touch: number, { parked, black, red }: Way, { all, downS }: Candidates): number {
  return all[touch]!.answerS + downS(parked === 'black' ? red : black);
}

export function handsFor(asked: Iterable<number>, candidates: Candidates, given: Given): Hands {
  const { all, downS } = candidates;
  const { isAsked = new Set(), isParked = new Set() } = given;
  const unproven = (touch: number) =>
    (given.anchors.get(touch) ?? []).filter((others) => !others.some((other) => isAsked.has(other)));
  const used = new Set(asked);
  for (const touch of used) for (const other of unproven(touch).flat()) used.add(other);
  for (const place of isAsked) used.delete(place);
  const parkings = parkingsOf(used, candidates);
  const ways = [...used].flatMap((place) => {
    const made = all[place]!.ways.flatMap((way, index): Asking[] => {
      const [park, seconds] = [parkedAt(way), aloneS(place, way, candidates)];
      const own = { place, way, name: `${touchName(place)} ${index}` };
      if (isParked.has(park)) return [{ ...own, seconds, park: null }];
      if (parkings.isShared(park)) return parkings.isNeedless(way) ? [] : [{ ...own, seconds, park }];
      return [{ ...own, seconds: seconds + downS(way[way.parked]), park: null }];
    });
    // Of ways that share nothing with other touches the quickest is enough.
    const [quickest] = made.filter(({ park }) => park === null).sort((a, b) => a.seconds - b.seconds);
    const left = made.filter((one) => one.park !== null || one === quickest);
    return left.length > 1 ? left : left.map((one) => ({ ...one, name: touchName(place) }));
  });
  const parks = new Map(
    ways.flatMap(({ park, way }) => (park === null ? [] : [[park, downS(way[way.parked])] as const])),
  );
  const several = [...groupedBy(ways, ({ place }) => place)].filter(([, own]) => own.length > 1);
  return {
    constraints: [
      ...several.map(([touch, own]) =>
        onlyWith(
          touchName(touch),
          own.map(({ name }) => name),
        ),
      ),
      ...[...used].flatMap((touch) =>
        unproven(touch).map((others) => onlyWith(touchName(touch), others.map(touchName))),
      ),
      ...ways.flatMap(({ name, park }) => (park === null ? [] : [onlyWith(name, [park])])),
    ],
    seconds: [...ways.map(({ name, seconds }) => [name, seconds] as const), ...parks],
    binaries: [...new Set([...[...used].map(touchName), ...ways.map(({ name }) => name), ...parks.keys()])],
    chosen: (values) =>
      ways.filter(({ name }) => lookUp(values, name)! > 0.5).map(({ place, way }) => ({ place, way })),
  };
}

/** Where probes can stay for these touches. */
function parkingsOf(touches: Iterable<number>, { all }: Candidates) {
  const uses = new Map<string, number>();
  /** Touches that are as good the other way round. */
  const eitherWay = new Map<string, number>();
  for (const touch of touches) {
    const own = new Set(all[touch]!.ways.map(parkedAt));
    for (const park of own) {
      uses.set(park, (uses.get(park) ?? 0) + 1);
      if (own.has(exchanged(park))) eitherWay.set(park, (eitherWay.get(park) ?? 0) + 1);
    }
  }
  return {
    /** Whether more than one touch can be asked while a probe stays there. */
    isShared: (park: string) => uses.get(park)! > 1,
    /** Where nothing asks for red but what could as well ask for black. */
    isNeedless: (way: Way) => way.parked === 'red' && eitherWay.get(parkedAt(way)) === uses.get(parkedAt(way)),
  };
}

function exchanged(park: string): string {
  return park.startsWith('red ') ? park.replace('red', 'black') : park.replace('black', 'red');
}

function onlyWith(name: string, others: readonly string[]): Constraint {
  return { terms: [...others.map((other) => [other, 1] as const), [name, -1]], is: '>=', value: 0 };
}
