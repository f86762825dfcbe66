import type { XY } from '../../facts/terms/names';

/** An outline round the middle. */
export function rectangle(wideMm: number, highMm: number): XY[] {
  const [x, y] = [wideMm / 2, highMm / 2];
  return [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ];
}
