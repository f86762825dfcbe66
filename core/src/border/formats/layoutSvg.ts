/** A layout as an SVG sheet to scale, from above or from the left side: printed at full size a millimetre is one. */
import type { XY } from '../../facts/terms/names';
import { isCable } from '../../facts/catalogue/kinds';
import { areaOf, outlineOf, roomMm, standingOn } from '../../physics/layout/box';
import { cableWays } from '../../physics/layout/cableWays';
import type { Laid } from '../../physics/layout/laid';
import { routeBetween } from '../../physics/layout/routes';
import { runsOf } from '../../physics/layout/runs';
import { levelsOf } from '../../physics/layout/stack';
import { lying } from '../../physics/geometry/place';
import { escape, n, svgSheet } from './svg';

export type LayoutView = 'above' | 'side';

const [ink, paper, plate, metal] = ['#20262b', '#e2dccb', '#f3efe6', '#b9bdbf'];
const marginMm = 6;

/** Shapes in mm to the right and up. */
interface Shape {
  points: readonly XY[];
  fill: string;
  name?: string;
  /** A line, not a closed outline. */
  open?: true;
}

export function layoutSvg(laid: Laid, view: LayoutView, title: string): string {
  const shapes = view === 'above' ? fromAbove(laid) : fromTheSide(laid);
  const all = shapes.flatMap(({ points }) => points);
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs) - marginMm, Math.max(...ys) + marginMm + 6];
  const [wide, high] = [Math.max(...xs) - left + marginMm, top - Math.min(...ys) + marginMm];
  const at = ([x, y]: XY) => `${n(x - left)} ${n(top - y)}`;
  const drawn = shapes.map(({ points, fill, name, open }) => {
    const middle: XY = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
    const words = name
      ? `<text x="${n(middle[0] - left)}" y="${n(top - middle[1] + 1)}" font-size="3" text-anchor="middle">${escape(name)}</text>`
      : '';
    return `<path d="M${points.map(at).join('L')}${open ? '' : 'Z'}" fill="${fill}" stroke="${ink}" stroke-width="${open ? 0.15 : 0.3}"/>${words}`;
  });
  const words = `<text x="2" y="5" font-size="4">${escape(title)}</text>`;
  return svgSheet({ title, wideMm: wide, highMm: high }, `${words}\n${drawn.join('\n')}`);
}

function fromAbove(laid: Laid): Shape[] {
  const { frame, poses, assembly } = laid;
  const plates = (frame.plates ?? []).slice(0, 1).map(({ outlineMm }): Shape => ({ points: outlineMm, fill: plate }));
  const parts = [...poses].flatMap(([slot, pose]): Shape[] => {
    const { body, kind } = assembly.model(slot)!;
    if (isCable(kind)) return [];
    const { outlineMm } = body;
    return [{ points: outlineMm.map((point) => flat(lying(pose, point))), fill: paper, name: slot }];
  });
  const ways = [...runsOf(laid).map(({ ends }) => routeBetween(laid, ...ends)), ...cableWays(laid)];
  const wires = ways.map(({ points }): Shape => ({ points: points.map(flat), fill: 'none', open: true }));
  return [...plates, ...wires, ...parts];
}

/** Front to the left. */
function fromTheSide(laid: Laid): Shape[] {
  const { frame, poses, assembly, places, stack } = laid;
  const plates = (frame.plates ?? []).map(({ outlineMm, zMm, thicknessMm }) => {
    const ys = outlineMm.map(([, y]) => y);
    return bar([Math.min(...ys), zMm], [Math.max(...ys), zMm + thicknessMm], plate);
  });
  const parts = [...poses].flatMap(([slot, pose]): Shape[] => {
    const kind = places.get(pose.place)?.kind;
    if (!kind || kind === 'stack' || kind === 'arm') return [];
    const model = assembly.model(slot)!;
    const [, along, up] = roomMm(model, pose);
    const [, middle, floor] = pose.atMm;
    return [bar([middle - along / 2, floor], [middle + along / 2, floor + up], paper, slot)];
  });
  if (!stack) return [...plates, ...parts];
  const { place } = stack;
  const half = (place.holes?.patternMm[1] ?? 30) / 2;
  const middle = place.atMm[1];
  const layers = levelsOf(stack).flatMap(({ layer, fromMm: from, toMm: up }): Shape[] => {
    if (!('slot' in layer))
      return [-half, half].map((at) => bar([middle + at - 3, from], [middle + at + 3, up], metal));
    const pose = poses.get(layer.slot)!;
    const model = assembly.model(layer.slot)!;
    const { rear, front } = outlineOf(model, pose);
    const standing = (['above', 'below'] as const).flatMap((face) =>
      standingOn(model, face, pose).map((box) => {
        const { rear: behind, front: before } = areaOf(box, pose);
        const [low, high] = face === 'above' ? [up, up + box.mm] : [from - box.mm, from];
        return bar([behind, low], [before, high], metal);
      }),
    );
    return [...standing, bar([rear, from], [front, up], paper, layer.slot)];
  });
  const screws = [-half, half].map((at) =>
    bar([middle + at - 1.5, 0], [middle + at + 1.5, stack.stack.screw.lengthMm], metal),
  );
  return [...plates, ...parts, ...screws, ...layers];
}

function bar([rear, low]: XY, [front, high]: XY, fill: string, name?: string): Shape {
  const points: XY[] = [
    [-front, low],
    [-rear, low],
    [-rear, high],
    [-front, high],
  ];
  return { points, fill, ...(name ? { name } : {}) };
}

const flat = ([x, y]: readonly [number, number, number]): XY => [x, y];
const mean = (list: readonly number[]) => (Math.min(...list) + Math.max(...list)) / 2;
