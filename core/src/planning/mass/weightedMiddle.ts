/** Where points of some weight have their centre. */
import type { XYZ } from '../../facts/catalogue/frame';

/** null of nothing, and of what weighs nothing. */
export function weightedMiddle(points: readonly { weight: number; atMm: XYZ }[]): XYZ | null {
  const all = points.reduce((sum, { weight }) => sum + weight, 0);
  if (all === 0) return null;
  const along = (axis: 0 | 1 | 2) => points.reduce((sum, { weight, atMm }) => sum + weight * atMm[axis], 0) / all;
  return [along(0), along(1), along(2)];
}
