/** How gently a way can be gone round its corners. Lengths in mm. */
import type { XYZ } from '../../facts/catalogue/frame';
import { distance } from './routes';

/** Nearer to straight than this is no bend. */
const straightRad = (5 * Math.PI) / 180;

/**
 * Radius at the tightest corner, where each rounds off as much as the legs beside it allow: an arc of radius r in a
 * corner that turns by t takes r tan(t / 2) of both legs, and two corners share the leg between them. Infinity: no
 * corner.
 */
export function bendMm(points: readonly XYZ[]): number {
  const way = points.filter((at, index) => index === 0 || distance(at, points[index - 1]!) > 1e-6);
  const corners = way.slice(1, -1).map((at, index) => {
    const turn = turnAt(way[index]!, at, way[index + 2]!);
    if (turn < straightRad) return Infinity;
    const before = distance(way[index]!, at) / (index === 0 ? 1 : 2);
    const after = distance(at, way[index + 2]!) / (index + 3 === way.length ? 1 : 2);
    return Math.min(before, after) / Math.tan(turn / 2);
  });
  return Math.min(Infinity, ...corners);
}

function turnAt(from: XYZ, at: XYZ, to: XYZ): number {
  const dot = [0, 1, 2].reduce((sum, axis) => sum + (at[axis]! - from[axis]!) * (to[axis]! - at[axis]!), 0);
  return Math.acos(Math.min(1, Math.max(-1, dot / (distance(from, at) * distance(at, to)))));
}
