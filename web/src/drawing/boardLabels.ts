/** The names on a board: of the pads in question first, then of their neighbours, then of the others and the plugs. */
import type { PartModel, Side, Terminal, XY } from '@junctor/core';
import { neighboursOf, span } from '@junctor/core';
import { boardSize } from './boardSize';
import { insetBox } from './Inset';
import type { Box, LabelWish, PlacedLabel } from './labels';
import { placeLabels } from './labels';
import { openingBoxes, plugBox } from './Outline';
import type { BoardView } from './view';

interface BoardNames {
  model: PartModel;
  side: Side;
  view: BoardView;
  /** The pads in question. */
  rings: readonly string[];
  /** What stands before a pad's print: the probe that is on it. */
  tags: Readonly<Record<string, string>>;
  /** Names every pad, however small. */
  every: boolean;
}

export interface BoardLabel extends PlacedLabel {
  weight: 'ring' | 'near' | 'quiet';
}

const ringRoom = 16;
/** A drawn line with a little air. */
const linePx = 3;
const weights = { ring: 0, near: 1, quiet: 2 } as const;

/** Terminals that can be seen on a side. */
export function shownOn({ terminals }: PartModel, side: Side): Terminal[] {
  return terminals.filter((terminal) => terminal.sides.includes(side) && terminal.form !== 'tail');
}

export function boardLabels(names: BoardNames): BoardLabel[] {
  const { model, side, view, rings } = names;
  const shown = shownOn(model, side);
  const near = nearOf(model, shown, rings);
  const wishes = [
    ...shown.flatMap((terminal) => padWish(terminal, near, names)),
    ...model.connectors.flatMap(({ id, pins }) => plugWish(id, pins, names)),
  ]
    // What is not in the drawing is not named in it.
    .filter(({ of }) => of.x > 0 && of.x < boardSize.width && of.y > 0 && of.y < boardSize.height)
    .sort((a, b) => weights[a.weight] - weights[b.weight]);
  const weightOf = new Map(wishes.map(({ id, weight }) => [id, weight]));
  const ringed = shown.find(({ id }) => rings.includes(id));
  const obstacles = [...boardObstacles(model, side, view), ...(view.zoomed && ringed ? [insetBox(ringed, view)] : [])];
  return placeLabels(wishes, obstacles, boardSize).map((label) => ({ ...label, weight: weightOf.get(label.id)! }));
}

/** What no name may stand on: pads, holes, openings, plugs and the board's own edges. */
export function boardObstacles(model: PartModel, side: Side, view: BoardView): Box[] {
  return [
    ...shownOn(model, side).map((terminal) => padBox(terminal, view)),
    ...model.body.holes.map(({ atMm, drillMm }) => roundBox(view.toPx(atMm), drillMm * view.pxPerMm)),
    ...model.body.openings.flatMap((opening) => openingBoxes(opening, view)),
    ...model.connectors.flatMap(({ pins }) => edgesOf(plugBox(model, pins, view))),
    ...straightEdges(model, view),
  ];
}

export function padBox({ atMm, sizeMm }: Terminal, view: BoardView): Box {
  const [x, y] = view.toPx(atMm);
  return { x, y, w: sizeMm[0] * view.pxPerMm, h: sizeMm[1] * view.pxPerMm };
}

/** From the nearest edge of the board towards its middle, on the drawing. */
export function inwards({ atMm }: Pick<Terminal, 'atMm'>, model: PartModel, view: BoardView): XY {
  const [spanX, spanY] = span(model);
  const [toSide, toEnd] = [spanX / 2 - Math.abs(atMm[0]), spanY / 2 - Math.abs(atMm[1])];
  const [cx, cy] = view.toPx([0, 0]);
  const [x, y] = view.toPx(atMm);
  if (toSide < toEnd) return [Math.sign(cx - x) || 1, 0];
  return [0, Math.sign(cy - y) || 1];
}

type Wish = LabelWish & { weight: BoardLabel['weight'] };

function padWish(terminal: Terminal, near: ReadonlySet<string>, names: BoardNames): Wish[] {
  const { model, view, rings, tags, every } = names;
  const of = padBox(terminal, view);
  const { id, form } = terminal;
  const largest = Math.max(of.w, of.h);
  const base = { id, text: `${tags[id] ? `${tags[id]} ` : ''}${shownPrint(terminal.printed)}`, of };
  const towards = inwards(terminal, model, view);
  if (tags[id] !== undefined || (rings.length === 1 && rings[0] === id)) {
    const round = Math.hypot(of.w, of.h);
    const ring = { ...of, w: round, h: round };
    const first = awayFromOthers(terminal, names, towards);
    const wish = { ...base, of: ring, size: 23, gap: ringRoom, towards, plate: true, reach: 250 };
    return [{ ...wish, ...(first ? { first } : {}), weight: 'ring' }];
  }
  if (near.has(id) || rings.includes(id))
    return [{ ...base, size: 18, gap: 13, towards, plate: false, reach: 124, weight: 'near' }];
  if (every) {
    if (form === 'pin' && largest < 30) return [];
    return [{ ...base, size: 11, gap: 1, towards, plate: false, reach: 62, weight: 'quiet' }];
  }
  if (largest < 20) return [];
  const size = Math.max(14, Math.min(20, Math.min(of.w, of.h) * 0.4));
  return [{ ...base, size, gap: 4, towards, plate: false, reach: 46, weight: 'quiet' }];
}

/** With two pads in question beside each other, each name stands on its own side. */
function awayFromOthers(terminal: Terminal, { model, view, tags }: BoardNames, [, inY]: XY): XY | null {
  const other = model.terminals.find(({ id }) => id !== terminal.id && tags[id] !== undefined);
  if (!other || tags[terminal.id] === undefined) return null;
  const [[x, y], [otherX, otherY]] = [view.toPx(terminal.atMm), view.toPx(other.atMm)];
  return Math.abs(x - otherX) > Math.abs(y - otherY) ? [Math.sign(x - otherX), inY] : [0, Math.sign(y - otherY)];
}

function plugWish(id: string, pins: readonly string[], { model, side, view, rings, every }: BoardNames): Wish[] {
  if (pins.some((pin) => rings.includes(pin)) || !shownOn(model, side).some((terminal) => pins.includes(terminal.id)))
    return [];
  const of = plugBox(model, pins, view);
  const text = /^J\d/.test(id) ? `plug ${id}` : 'plug';
  return [
    {
      id: `plug ${id}`,
      text,
      size: every ? 11 : 14,
      of,
      gap: 3,
      towards: [0, -1],
      plate: false,
      reach: 46,
      weight: 'quiet',
    },
  ];
}

function nearOf(model: PartModel, shown: readonly Terminal[], rings: readonly string[]): ReadonlySet<string> {
  const ringed = shown.filter(({ id }) => rings.includes(id));
  return new Set(ringed.flatMap((ring) => neighboursOf(model, ring).map(({ terminal }) => terminal.id)));
}

/** The lines round a box: a name stands inside or outside, not on them. */
function edgesOf({ x, y, w, h }: Box): Box[] {
  const line = (dx: number, dy: number): Box => ({
    x: x + (dx * w) / 2,
    y: y + (dy * h) / 2,
    w: dx === 0 ? w : linePx,
    h: dy === 0 ? h : linePx,
  });
  return [line(-1, 0), line(1, 0), line(0, -1), line(0, 1)];
}

/** The board’s own edges, where they run along the drawing. */
function straightEdges({ body: { outlineMm } }: PartModel, view: BoardView): Box[] {
  const corners = outlineMm.map((at) => view.toPx(at));
  return corners.flatMap(([x, y], index) => {
    const [nextX, nextY] = corners[(index + 1) % corners.length]!;
    const [w, h] = [Math.abs(x - nextX), Math.abs(y - nextY)];
    if (Math.min(w, h) > linePx) return [];
    return [{ x: (x + nextX) / 2, y: (y + nextY) / 2, w: Math.max(w, linePx), h: Math.max(h, linePx) }];
  });
}

function roundBox([x, y]: XY, across: number): Box {
  return { x, y, w: across, h: across, round: true };
}

/** A minus is drawn as wide as a plus. */
export function shownPrint(print: string): string {
  return print.replace(/-$/, '−');
}
