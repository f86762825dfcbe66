/**
 * Where the names on a board stand: beside what they name, never on a hole, a pad or another name; further out with a
 * fine line where it is crowded. Units: the drawing's own.
 */
import type { XY } from '@junctor/core';

/** A rectangle by its middle. */
export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
  /** A hole: what stands in its corner is not on it. */
  round?: boolean;
}

export interface LabelWish {
  id: string;
  text: string;
  /** Font size. */
  size: number;
  /** What it names. */
  of: Box;
  /** Free room between that and the name. */
  gap: number;
  /** The direction it stands in if it can, along one axis. */
  towards: XY;
  /** Before that: what it must not be mistaken for lies the other way. */
  first?: XY;
  /** Drawn on a plate. */
  plate: boolean;
  /** Left out where it would stand further out than this. */
  reach: number;
}

export interface PlacedLabel extends LabelWish {
  at: Box;
  /** A fine line to what it names, where it does not stand beside it. */
  line: readonly [from: XY, to: XY] | null;
}

interface Room {
  width: number;
  height: number;
}

/** Width of a letter of this type, as a part of its size. */
const letterWidth = 0.58;
const stepsOut = [0, 10, 20, 32, 46, 62, 80, 100, 124, 150, 180, 214, 250];
/** Nearer than this a name needs no line. */
const lineFrom = 10;

/** The room that a name takes. */
function labelSize({ text, size, plate }: Pick<LabelWish, 'text' | 'size' | 'plate'>): { w: number; h: number } {
  return { w: text.length * size * letterWidth + (plate ? 14 : 4), h: size * (plate ? 1.35 : 1.02) };
}

/**
 * In the order given: the first has the first choice. Names for which there is no free spot within reach are left out.
 */
export function placeLabels(wishes: readonly LabelWish[], obstacles: readonly Box[], room: Room): PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  for (const wish of wishes) {
    const at = freeSpot(wish, [...obstacles, ...placed.map((label) => label.at)], room);
    if (at) placed.push({ ...wish, at, line: lineOf(wish, at) });
  }
  return placed;
}

/** True when a name would stand on it. */
export function overlaps(a: Box, b: Box): boolean {
  if (b.round) {
    const nearest = (middle: number, half: number, wanted: number) =>
      Math.max(middle - half, Math.min(middle + half, wanted));
    return Math.hypot(nearest(a.x, a.w / 2, b.x) - b.x, nearest(a.y, a.h / 2, b.y) - b.y) < b.w / 2 - 0.01;
  }
  return Math.abs(a.x - b.x) * 2 < a.w + b.w - 0.01 && Math.abs(a.y - b.y) * 2 < a.h + b.h - 0.01;
}

function freeSpot(wish: LabelWish, taken: readonly Box[], room: Room): Box | null {
  const { w, h } = labelSize(wish);
  const [tx, ty] = wish.towards;
  const across: XY = [ty, tx];
  const directions: readonly XY[] = [
    [tx, ty],
    across,
    [-across[0], -across[1]],
    [-tx, -ty],
    [1, 1],
    [-1, 1],
    [1, -1],
    [-1, -1],
  ];
  // Straight out, also a little further, before it goes to a side: there it would stand at a neighbour.
  const straight = stepsOut.slice(0, 3).map((out) => ({ out, direction: wish.towards }));
  const around = stepsOut.flatMap((out) => directions.map((direction) => ({ out, direction })));
  for (const { out, direction } of [
    ...(wish.first ? [{ out: 0, direction: wish.first }] : []),
    ...straight,
    ...around,
  ]) {
    if (out > wish.reach) continue;
    const [dx, dy] = direction;
    const box = {
      x: wish.of.x + dx * (wish.of.w / 2 + wish.gap + out + w / 2),
      y: wish.of.y + dy * (wish.of.h / 2 + wish.gap + out + h / 2),
      w,
      h,
    };
    if (isInside(box, room) && !taken.some((other) => overlaps(box, other))) return box;
  }
  return insideItself(wish, taken, room);
}

/** A plate of carbon that fills the drawing is named in its own middle. */
function insideItself(wish: LabelWish, taken: readonly Box[], room: Room): Box | null {
  const box = { x: wish.of.x, y: wish.of.y, ...labelSize(wish) };
  const roomy = wish.of.w > room.width / 2;
  const own = (other: Box) => other.x === wish.of.x && other.y === wish.of.y && other.w <= wish.of.w;
  return roomy && !taken.some((other) => !own(other) && overlaps(box, other)) ? box : null;
}

function isInside({ x, y, w, h }: Box, { width, height }: Room): boolean {
  return x - w / 2 >= 0 && x + w / 2 <= width && y - h / 2 >= 0 && y + h / 2 <= height;
}

/** From the name's nearest point to the middle of what it names. */
function lineOf({ of, gap, plate }: LabelWish, at: Box): PlacedLabel['line'] {
  const apart = Math.max(Math.abs(at.x - of.x) - (at.w + of.w) / 2, Math.abs(at.y - of.y) - (at.h + of.h) / 2);
  // A plate to a side of its pad could be its neighbour's.
  const aside = plate && Math.abs(at.x - of.x) > at.w / 2 && Math.abs(at.y - of.y) > at.h / 2;
  if (apart < gap + lineFrom && !aside) return null;
  const nearest = (middle: number, half: number, wanted: number) =>
    Math.max(middle - half, Math.min(middle + half, wanted));
  return [
    [nearest(at.x, at.w / 2, of.x), nearest(at.y, at.h / 2, of.y)],
    [of.x, of.y],
  ];
}
