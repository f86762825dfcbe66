/** The way of a wire from one part to another: every pair of routing points that it can come in by is tried. */
import type { Build, FrameBody } from '@junctor/core';
import { shortestByWalking } from './shortestWays';

type Pose = NonNullable<Build['slots'][string]['pose']>;
type Point = readonly [number, number, number];

const known = new WeakMap<FrameBody, Map<string, number>>();

function between(frame: FrameBody, a: string, b: string): number {
  const all = known.get(frame) ?? new Map<string, number>();
  known.set(frame, all);
  const key = `${a} ${b}`;
  const mm = all.get(key) ?? shortestByWalking(frame, a, b);
  all.set(key, mm);
  return mm;
}

const apart = (p: Point, q: Point) => Math.sqrt((p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2);

/** Straight within one place of the frame and where the frame has no ways. */
export function wayInFrame(
  frame: FrameBody | undefined,
  [p, from]: readonly [Point, Pose],
  [q, to]: readonly [Point, Pose],
): number {
  const places = frame?.places ?? [];
  if (!frame || (from.place === to.place && places.some(({ id }) => id === from.place))) return apart(p, q);
  const { points, edges } = frame.route;
  const names = Object.keys(points);
  const gates = (pose: Pose): string[] => {
    const own = places.find(({ id }) => id === pose.place)?.entry;
    const nearest = [...names].sort((a, b) => apart(points[a]!, pose.atMm) - apart(points[b]!, pose.atMm))[0];
    const entry = own !== undefined && names.includes(own) ? own : nearest;
    if (entry === undefined) return [];
    return [entry, ...edges.flatMap(([a, b]) => (a === entry || b === entry ? [a, b] : []))];
  };
  const ways = gates(from).flatMap((a) =>
    gates(to).map((b) => apart(p, points[a]!) + between(frame, a, b) + apart(points[b]!, q)),
  );
  const least = Math.min(...ways);
  return least < Infinity ? least : apart(p, q);
}
