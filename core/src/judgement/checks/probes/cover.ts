/**
 * The quickest touches that together show every fault that any of them can show: an exact cover by the solver. A fault
 * that kills is shown by two, where two can; a silence counts only where both probes have sounded or read on the same
 * copper in the same list. Black is set down once for all touches that have it in one place.
 */
import { lookUp } from '../../../facts/terms/lookUp';
import type { Constraint, Solve, Terms } from '../../../facts/terms/solver';
import type { TerminalRef } from '../../../facts/terms/names';
import type { Candidates } from './candidates';

/** A fault that must be shown: by which touches, and by how many of them, or by all where there are fewer. */
interface Wanted {
  by: readonly number[];
  times: number;
}

interface CoverRequest {
  candidates: Candidates;
  wanted: readonly Wanted[];
  /** For a touch that proves nothing unless others have: for each probe those others. */
  anchors: ReadonlyMap<number, readonly (readonly number[])[]>;
}

type Cover =
  | { is: 'proven'; touches: readonly { place: number; black: TerminalRef }[]; seconds: number }
  | { is: 'gave up'; why: string };

const touchName = (touch: number) => `t${touch}`;
const wayName = (touch: number, way: number) => `t${touch} ${way}`;
const blackName = (ref: TerminalRef) => `black ${ref}`;

export function coverOf(request: CoverRequest, solve: Solve): Cover {
  const { candidates, anchors } = request;
  const rows = hardest(request.wanted);
  const used = new Set(rows.flatMap(({ by }) => by));
  for (const touch of used) for (const others of anchors.get(touch) ?? []) for (const other of others) used.add(other);
  const ways = [...used].flatMap((touch) =>
    candidates.all[touch]!.ways.map(({ black, seconds }, way) => ({
      touch,
      black,
      seconds,
      name: wayName(touch, way),
    })),
  );
  const blacks = [...new Set(ways.map(({ black }) => black))];
  const constraints: Constraint[] = [
    ...rows.map(({ by, times }): Constraint => ({
      terms: by.map((touch) => [touchName(touch), 1]),
      is: '>=',
      value: times,
    })),
    ...[...used].flatMap((touch) => [
      noMoreThan(
        touchName(touch),
        candidates.all[touch]!.ways.map((_, way) => wayName(touch, way)),
      ),
      ...(anchors.get(touch) ?? []).map((others) => noMoreThan(touchName(touch), others.map(touchName))),
    ]),
    ...ways.map(({ name, black }) => noMoreThan(name, [blackName(black)])),
  ];
  const minimise: Terms = [
    ...ways.map(({ name, seconds }) => [name, seconds] as const),
    ...blacks.map((ref) => [blackName(ref), candidates.blackS(ref)] as const),
  ];
  const binaries = [...[...used].map(touchName), ...ways.map(({ name }) => name), ...blacks.map(blackName)];
  const solved = solve({ minimise, constraints, binaries, counts: [] });
  if (solved.is !== 'optimal')
    return { is: 'gave up', why: solved.is === 'impossible' ? 'no list shows them all' : solved.why };
  const isOn = (name: string) => lookUp(solved.values, name)! > 0.5;
  return {
    is: 'proven',
    touches: ways.filter(({ name }) => isOn(name)).map(({ touch, black }) => ({ place: touch, black })),
    seconds: solved.value,
  };
}

function noMoreThan(name: string, others: readonly string[]): Constraint {
  return { terms: [...others.map((other) => [other, 1] as const), [name, -1]], is: '>=', value: 0 };
}

/** Without those that are shown wherever another one is. */
function hardest(wanted: readonly Wanted[]): Wanted[] {
  const rows = wanted
    .map(({ by, times }) => ({ by, times: Math.min(times, by.length), among: new Set(by) }))
    .sort((a, b) => a.by.length - b.by.length || b.times - a.times);
  return rows.filter(
    ({ among, times }, index) =>
      !rows.slice(0, index).some((other) => other.times >= times && other.by.every((touch) => among.has(touch))),
  );
}
