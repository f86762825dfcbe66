/** Distances between terminals of one board. */
import type { Terminal } from '../../facts/catalogue/partModel';

/** The gap between the edges of two terminals as drawn, in mm; 0 when they overlap. */
export function gapMm(a: Terminal, b: Terminal): number {
  const along = (axis: 0 | 1) =>
    Math.max(0, Math.abs(a.atMm[axis] - b.atMm[axis]) - (a.sizeMm[axis] + b.sizeMm[axis]) / 2);
  return Math.hypot(along(0), along(1));
}
