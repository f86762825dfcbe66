/** How much room a part takes when it lies turned, and what stands where on a board. Lengths in mm. */
import { lying } from '../geometry/place';
import type { Pose } from '../../facts/assembly/build';
import type { HeightBox, PartKind, PartModel } from '../../facts/catalogue/partModel';
import type { XY } from '../../facts/terms/names';

export const boardMm = 1.6;

/** Edges in the aircraft, seen from above. */
export interface Area {
  left: number;
  right: number;
  rear: number;
  front: number;
}

/** Have contacts and no board under them. */
const boardless: readonly PartKind[] = ['motor', 'battery lead', 'pack', 'antenna', 'cable'];

/** Has copper pads, and so a board between what is above and below it. */
function isOnBoard({ terminals, kind }: PartModel): boolean {
  return !boardless.includes(kind) && terminals.some(({ form }) => form === 'pad' || form === 'pin');
}

/** From its lowest point to its highest. */
export function heightMm(model: PartModel): number {
  const { boxMm, aboveMm, belowMm } = model.body;
  return boxMm ? boxMm[2] : aboveMm + belowMm + (isOnBoard(model) ? boardMm : 0);
}

/** Across, along and up as it lies; a camera looks forward: what is drawn as its height then lies along. */
export function roomMm(model: PartModel, pose: Pose): readonly [number, number, number] {
  const { left, right, rear, front } = outlineOf(model, pose);
  if (model.kind === 'camera') return [right - left, heightMm(model), front - rear];
  return [right - left, front - rear, heightMm(model)];
}

export function outlineOf({ body }: PartModel, pose: Pose): Area {
  return around(body.outlineMm.map((at) => lying(pose, at)));
}

/** As it is drawn: from left to right, or from its lower edge to its upper one. */
export function extentMm({ body }: PartModel, axis: 0 | 1): number {
  const along = body.outlineMm.map((at) => at[axis]);
  return Math.max(...along) - Math.min(...along);
}

export function acrossMm(model: PartModel): number {
  return extentMm(model, 0);
}

/** A box on a board as it lies in the aircraft. */
export function areaOf({ atMm: [x, y], sizeMm: [wide, long] }: Pick<HeightBox, 'atMm' | 'sizeMm'>, pose: Pose): Area {
  const corners = [-1, 1].flatMap((right) =>
    [-1, 1].map((up): XY => [x + (right * wide) / 2, y + (up * long) / 2] as const),
  );
  return around(corners.map((at) => lying(pose, at)));
}

function around(points: readonly (readonly [number, number, number])[]): Area {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), rear: Math.min(...ys), front: Math.max(...ys) };
}

export function doOverlap(a: Area, b: Area): boolean {
  return a.left < b.right && b.left < a.right && a.rear < b.front && b.rear < a.front;
}

/** What stands on its upper or lower face as it lies. A board of which nobody said more is as high everywhere. */
export function standingOn({ body }: PartModel, face: 'above' | 'below', pose: Pose): readonly HeightBox[] {
  const side = (face === 'above') === (pose.face === 'up') ? 'top' : 'bottom';
  if (body.heightsMm) return body.heightsMm.filter((box) => box.side === side);
  const xs = body.outlineMm.map(([x]) => x);
  const ys = body.outlineMm.map(([, y]) => y);
  const [wide, long] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const mm = side === 'top' ? body.aboveMm : body.belowMm;
  const atMm: XY = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
  return [{ side, atMm, sizeMm: [wide, long], mm, what: 'parts' }];
}

export function highest(boxes: readonly HeightBox[]): number {
  return Math.max(0, ...boxes.map(({ mm }) => mm));
}
