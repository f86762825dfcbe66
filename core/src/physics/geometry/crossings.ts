/** Crossings seen from above. */

/** True when two segments have a point in common that is an end of neither. */
export function segmentsCross(
  a: readonly [number, number],
  b: readonly [number, number],
  c: readonly [number, number],
  d: readonly [number, number],
): boolean {
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
}

function turn(
  [px, py]: readonly [number, number],
  [qx, qy]: readonly [number, number],
  [rx, ry]: readonly [number, number],
): number {
  return Math.sign((qx - px) * (ry - py) - (qy - py) * (rx - px));
}
