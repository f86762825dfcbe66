/**
 * Aircraft weighed by drawing: every model off by its own share, every piece a little, wire and small things as they
 * come. What a part weighs here the forecast does not know.
 */
import type { Build, Catalogue, FrameBody, PartModel, Pose } from '@junctor/core';

interface Drawn {
  g: number;
  /** To the right and forward of the motors' middle, in mm. */
  centreMm: readonly [number, number];
}

type Chance = () => number;
type Point = readonly [number, number];

/** Parts spread 3 to 10 % about what is said of them: the less sure, the more. */
const spreads: Readonly<Record<string, number>> = { measured: 0.03, sheet: 0.05, typical: 0.07, assumed: 0.1 };
const steelGPerMm3 = 7.85e-3;

const within = (chance: Chance, low: number, high: number) => low + chance() * (high - low);
/** Sum of twelve: as good as normal, with this sigma. */
const normal = (chance: Chance, sigma: number) =>
  sigma * (Array.from({ length: 12 }, chance).reduce((sum, one) => sum + one, 0) - 6);

/** @param poses Where each part lies. @param shape Of the spread of one model. */
export function weighedByDrawing(
  { slots, wires }: Build,
  { catalogue, poses }: { catalogue: Catalogue; poses: ReadonlyMap<string, Pose> },
  chance: Chance,
  shape: 'flat' | 'normal',
): Drawn {
  const off = new Map<string, number>();
  const share = (model: PartModel) => {
    const spread = spreads[model.knownFrom['/massG'] ?? model.knownFrom[''] ?? 'assumed']!;
    const known =
      off.get(model.id) ?? (shape === 'flat' ? within(chance, -spread, spread) : normal(chance, spread / 2));
    off.set(model.id, known);
    return known;
  };
  const lot: { g: number; at: Point }[] = [];
  const poseOf = (slot: string) => poses.get(slot)!.atMm;
  for (const [slot, fitted] of Object.entries(slots)) {
    const model = catalogue.model(fitted)!;
    const [x, y] = model.frame ? middleByGrid(model.frame) : poseOf(slot);
    const g = model.massG * (1 + share(model)) * (1 + normal(chance, 0.003));
    lot.push({ g, at: [x + normal(chance, 1), y + normal(chance, 1)] });
  }
  const insulation = within(chance, 1.1, 1.55);
  for (const wire of Object.values(wires)) {
    const ends = wire.ends.flatMap(({ at }) => (at.on === 'terminal' ? [poseOf(at.ref.split('.')[0]!)] : []));
    const [x, y] = mean(ends.map(([px, py]) => [px, py]));
    const thickMm = 0.127 * 92 ** ((36 - wire.awg) / 39);
    const copperG = (Math.PI / 4) * thickMm ** 2 * 8.96e-3;
    if (wire.from !== 'tail') lot.push({ g: wire.lengthMm! * copperG * insulation, at: [x, y] });
    for (const { by, at } of wire.ends) {
      if (by !== 'solder' || at.on !== 'terminal') continue;
      const [jx, jy] = poseOf(at.ref.split('.')[0]!);
      lot.push({ g: wire.awg <= 20 ? within(chance, 0.15, 0.4) : within(chance, 0.02, 0.09), at: [jx, jy] });
    }
  }
  const motors = Object.values(slots).filter((fitted) => catalogue.model(fitted)!.kind === 'motor').length;
  lot.push({ g: 4 * motors * screwG(8) * within(chance, 0.8, 1.1) + within(chance, 2, 7), at: [0, 0] });
  lot.push({ g: 4 * screwG(25) * within(chance, 0.8, 1.1), at: [0, 0] });
  const g = lot.reduce((sum, one) => sum + one.g, 0);
  const { corners } = Object.values(slots)
    .map((fitted) => catalogue.model(fitted)!.frame)
    .find((frame) => frame !== undefined)!;
  const motorsAt = mean(corners.map(({ atMm }) => atMm));
  const along = (axis: 0 | 1) => lot.reduce((sum, one) => sum + one.g * one.at[axis], 0) / g - motorsAt[axis];
  return { g, centreMm: [along(0), along(1)] };
}

/** A screw M3: its shaft, and a flat round head. */
const screwG = (mm: number) => (Math.PI / 4) * (2.7 ** 2 * mm + 5.5 ** 2 * 1.9) * steelGPerMm3;

function mean(points: readonly Point[]): Point {
  if (points.length === 0) return [0, 0];
  const along = (axis: 0 | 1) => points.reduce((sum, point) => sum + point[axis], 0) / points.length;
  return [along(0), along(1)];
}

/** No part of a frame is a whole number of these long: an edge falls between two as often here as there. */
const gridMm = 0.2713;
const middles = new WeakMap<FrameBody, Point>();

function middleByGrid(frame: FrameBody): Point {
  const middle = middles.get(frame) ?? countedMiddle(frame);
  middles.set(frame, middle);
  return middle;
}

/** Of all points of its plates, each as often as its plate is thick. */
function countedMiddle({ plates = [] }: FrameBody): Point {
  let [weight, x, y] = [0, 0, 0];
  for (const { outlineMm, thicknessMm } of plates) {
    const reach = Math.max(...outlineMm.flat().map(Math.abs));
    for (let px = -reach + gridMm / 2; px <= reach; px += gridMm)
      for (let py = -reach + gridMm / 2; py <= reach; py += gridMm) {
        if (!isInside(outlineMm, px, py)) continue;
        weight += thicknessMm;
        x += thicknessMm * px;
        y += thicknessMm * py;
      }
  }
  return weight === 0 ? [0, 0] : [x / weight, y / weight];
}

function isInside(outline: readonly Point[], x: number, y: number): boolean {
  let inside = false;
  outline.forEach(([ax, ay], index) => {
    const [bx, by] = outline[(index + 1) % outline.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  });
  return inside;
}
