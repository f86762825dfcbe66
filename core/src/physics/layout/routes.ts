/**
 * The way of a wire through a frame: from its pad to where wires come into its place, along the frame's routing edges
 * by the shortest way, to the other pad. Within one place it goes straight. Lengths in mm.
 */
import type { FrameBody, XYZ } from '../../facts/catalogue/frame';
import type { Pose } from '../../facts/assembly/build';
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import { lying } from '../geometry/place';
import type { Laid } from './laid';

interface Route {
  points: readonly XYZ[];
  /** Names of the routing points that it passes. */
  via: readonly string[];
  mm: number;
}

/** Shortest ways between all routing points of a frame (Floyd and Warshall). */
interface RouteMap {
  /** Infinity: no way leads there. */
  mm(from: string, to: string): number;
  /** Points from one to the other, both included; empty where no way leads. */
  way(from: string, to: string): readonly string[];
}

const known = new WeakMap<FrameBody, RouteMap>();

export function routeMap(frame: FrameBody): RouteMap {
  const made = known.get(frame) ?? makeMap(frame);
  known.set(frame, made);
  return made;
}

function makeMap({ route: { points, edges } }: FrameBody): RouteMap {
  const names = Object.keys(points);
  const number = new Map(names.map((name, index) => [name, index]));
  const far = names.map(() => names.map(() => Infinity));
  const next = names.map(() => names.map(() => -1));
  names.forEach((_, at) => {
    far[at]![at] = 0;
    next[at]![at] = at;
  });
  for (const edge of edges) {
    const [a, b] = edge.map((name) => number.get(name)) as [number | undefined, number | undefined];
    if (a === undefined || b === undefined) continue;
    const mm = distance(lookUp(points, names[a]!)!, lookUp(points, names[b]!)!);
    if (mm >= far[a]![b]!) continue;
    far[a]![b] = far[b]![a] = mm;
    next[a]![b] = b;
    next[b]![a] = a;
  }
  for (let by = 0; by < names.length; by += 1)
    for (let a = 0; a < names.length; a += 1)
      for (let b = 0; b < names.length; b += 1) {
        const mm = far[a]![by]! + far[by]![b]!;
        if (mm >= far[a]![b]!) continue;
        far[a]![b] = mm;
        next[a]![b] = next[a]![by]!;
      }
  const at = (name: string) => number.get(name) ?? -1;
  return {
    mm: (from, to) => far[at(from)]?.[at(to)] ?? Infinity,
    way: (from, to) => {
      const [a, b] = [at(from), at(to)];
      if (a < 0 || b < 0 || far[a]![b] === Infinity) return [];
      const way = [a];
      while (way.at(-1) !== b) way.push(next[way.at(-1)!]![b]!);
      return way.map((index) => names[index]!);
    },
  };
}

export function distance([ax, ay, az]: XYZ, [bx, by, bz]: XYZ): number {
  return Math.hypot(ax - bx, ay - by, az - bz);
}

/**
 * The routing points at which wires can come to a part: its place's entry, else the nearest point, and those beside it,
 * since a wire that comes along an arm goes straight to its pad. None: the frame has no ways.
 */
export function gatesOf({ frame, places }: Pick<Laid, 'frame' | 'places'>, pose: RouteEnd['pose']): readonly string[] {
  const entry = entryOf({ frame, places }, pose);
  if (entry === null) return [];
  const beside = frame.route.edges.filter((edge) => edge.includes(entry)).flat();
  return [...new Set([entry, ...beside])];
}

function entryOf({ frame, places }: Pick<Laid, 'frame' | 'places'>, pose: RouteEnd['pose']): string | null {
  const own = places.get(pose.place)?.entry;
  if (own !== undefined && lookUp(frame.route.points, own)) return own;
  return Object.entries(frame.route.points).reduce<{ name: string | null; mm: number }>(
    (best, [name, at]) => {
      const mm = distance(at, pose.atMm);
      return mm < best.mm ? { name, mm } : best;
    },
    { name: null, mm: Infinity },
  ).name;
}

/** The shortest way between two points through any of their gates; straight where no way leads. */
export function wayBetween(
  frame: FrameBody,
  [from, gatesA]: readonly [XYZ, readonly string[]],
  [to, gatesB]: readonly [XYZ, readonly string[]],
): { mm: number; gates: readonly [string, string] | null } {
  const map = routeMap(frame);
  const at = (name: string) => lookUp(frame.route.points, name)!;
  let best: { mm: number; gates: readonly [string, string] | null } = { mm: Infinity, gates: null };
  for (const a of gatesA) {
    const firstMm = distance(from, at(a));
    for (const b of gatesB) {
      const mm = firstMm + map.mm(a, b) + distance(at(b), to);
      if (mm < best.mm) best = { mm, gates: [a, b] };
    }
  }
  return best.gates ? best : { mm: distance(from, to), gates: null };
}

/** Where a terminal is. @throws {RangeError} If there is none of this name. */
export function pointIn({ assembly, poses }: Pick<Laid, 'assembly' | 'poses'>, ref: TerminalRef): XYZ {
  const terminal = assembly.terminal(ref);
  const pose = poses.get(splitRef(ref).slot);
  if (!terminal || !pose) throw new RangeError(`no terminal ${ref}`);
  return lying(pose, terminal.atMm);
}

/** @throws {RangeError} If one of the terminals does not exist. */
export function routeBetween(laid: Laid, a: TerminalRef, b: TerminalRef): Route {
  const end = (ref: TerminalRef) => ({ at: pointIn(laid, ref), pose: laid.poses.get(splitRef(ref).slot)! });
  return routeOf(laid, end(a), end(b));
}

/** A point of what lies so. */
interface RouteEnd {
  at: XYZ;
  pose: Pick<Pose, 'place' | 'atMm'>;
}

export function routeOf(laid: Pick<Laid, 'frame' | 'places'>, a: RouteEnd, b: RouteEnd): Route {
  const straight = { points: [a.at, b.at], via: [], mm: distance(a.at, b.at) };
  if (a.pose.place === b.pose.place && laid.places.has(a.pose.place)) return straight;
  const { gates } = wayBetween(laid.frame, [a.at, gatesOf(laid, a.pose)], [b.at, gatesOf(laid, b.pose)]);
  if (!gates) return straight;
  const via = routeMap(laid.frame).way(...gates);
  const points = [a.at, ...via.map((name) => lookUp(laid.frame.route.points, name)!), b.at];
  return { points, via, mm: points.slice(1).reduce((sum, at, index) => sum + distance(points[index]!, at), 0) };
}
