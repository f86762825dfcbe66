/**
 * Mass and centre of gravity from what an aircraft is made of. Figures of one kind are off together, kinds on their
 * own: their half bands add as squares, and a band of so many flat spreads holds 95 % at 2 of its sigmas (2 / sqrt 3
 * of that sum), never more than all of them together.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { frameOf } from '../../facts/assembly/frameOf';
import type { XYZ } from '../../facts/catalogue/frame';
import type { Range, Slot } from '../../facts/terms/names';
import type { Laid } from '../../physics/layout/laid';
import { laidOut } from '../../physics/layout/laid';
import type { MassPoint } from './massPoints';
import { massPoints } from './massPoints';
import { weightedMiddle } from './weightedMiddle';

const flatBand = 2 / Math.sqrt(3);
/** A part lies as exactly as holes and tape hold it, and its own centre is not quite its outline's; in mm. */
const laidMm = 2.5;

export interface Balance {
  g: Range;
  /** Of all that lies somewhere, measured from the middle of the motors; null without a frame. */
  centre: { atMm: XYZ; offMm: number } | null;
}

/** @param laid How the parts lie where the plan does not say it for each. */
export function balanceOf(
  target: Assembly,
  weighed: Readonly<Record<Slot, number>>,
  laid: Laid | null = laidOut(target),
): Balance {
  const points = massPoints(target, weighed, laid);
  const motors = motorsMiddle(target);
  return { g: massBand(points), centre: motors && centreOf(points, motors) };
}

/** The middle of the corners; null without a frame. */
export function motorsMiddle(target: Assembly): readonly [number, number] | null {
  const corners = frameOf(target)?.corners ?? [];
  if (corners.length === 0) return null;
  const mean = (axis: 0 | 1) => corners.reduce((sum, { atMm }) => sum + atMm[axis], 0) / corners.length;
  return [mean(0), mean(1)];
}

export function massBand(points: readonly Pick<MassPoint, 'kind' | 'g' | 'offG'>[]): Range {
  const g = points.reduce((sum, point) => sum + point.g, 0);
  const off = offTogether(points, ({ offG }) => offG);
  return [g - off, g + off];
}

function centreOf(points: readonly MassPoint[], [x, y]: readonly [number, number]): Balance['centre'] {
  const placed = points.flatMap(({ atMm, ...point }) => (atMm ? [{ ...point, atMm }] : []));
  const middle = weightedMiddle(placed.map(({ g: weight, atMm }) => ({ weight, atMm })));
  if (!middle) return null;
  const g = placed.reduce((sum, point) => sum + point.g, 0);
  // A mass that is off pulls the centre by its share of the way to it; a part that lies off, by its share of the mass.
  const pulled = offTogether(placed, ({ offG, atMm }) => ((atMm[1] - middle[1]) * offG) / g);
  const lying = Math.sqrt(placed.reduce((sum, point) => sum + ((point.g / g) * laidMm) ** 2, 0));
  return { atMm: [middle[0] - x, middle[1] - y, middle[2]], offMm: Math.hypot(pulled, lying) };
}

function offTogether<P extends Pick<MassPoint, 'kind'>>(points: readonly P[], off: (point: P) => number): number {
  const kinds = new Map<string, number>();
  for (const point of points) kinds.set(point.kind, (kinds.get(point.kind) ?? 0) + off(point));
  const each = [...kinds.values()].map(Math.abs);
  const squares = Math.sqrt(each.reduce((sum, one) => sum + one ** 2, 0));
  return Math.min(
    flatBand * squares,
    each.reduce((sum, one) => sum + one, 0),
  );
}
