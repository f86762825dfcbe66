/**
 * Which part of a board is drawn at which scale: whole when its pads can be told apart, else the pad and its
 * neighbours.
 */
import type { PartModel, Side, Terminal, XY } from '@junctor/core';
import { span } from '@junctor/core';

export interface BoardView {
  pxPerMm: number;
  zoomed: boolean;
  /** Centre of the view in board coordinates. */
  centreMm: XY;
  toPx(at: XY): XY;
}

/** A pad drawn smaller than this across cannot be told from its neighbours at arm's length. */
const minPadPx = 22;
const minPxPerMm = 4;
const zoomPxPerMm = 24;
const maxPxPerMm = 16;
const marginPx = 14;

/** @param focus The pads in question; empty shows the whole board. */
export function boardView(
  model: PartModel,
  side: Side,
  focus: readonly Terminal[],
  { widthPx, heightPx }: { widthPx: number; heightPx: number },
): BoardView {
  const [spanX, spanY] = span(model);
  const whole = Math.min(maxPxPerMm, (widthPx - 2 * marginPx) / spanX, (heightPx - 2 * marginPx) / spanY);
  const fits = whole >= minPxPerMm && focus.every((terminal) => Math.min(...terminal.sizeMm) * whole >= minPadPx);
  const box = boxOf(focus);
  const close = Math.min(
    zoomPxPerMm,
    (widthPx - 8 * marginPx) / (box.sizeMm[0] + 4),
    (heightPx - 8 * marginPx) / (box.sizeMm[1] + 4),
  );
  const pxPerMm = fits || focus.length === 0 ? whole : Math.max(whole, close);
  const centreMm: XY =
    fits || focus.length === 0 ? [0, 0] : centreFor(box.atMm, [spanX, spanY], [widthPx / pxPerMm, heightPx / pxPerMm]);
  const mirror = side === 'bottom' ? -1 : 1;
  return {
    pxPerMm,
    zoomed: pxPerMm > whole,
    centreMm,
    toPx: ([x, y]) => [widthPx / 2 + mirror * (x - centreMm[0]) * pxPerMm, heightPx / 2 - (y - centreMm[1]) * pxPerMm],
  };
}

function boxOf(focus: readonly Terminal[]): { atMm: XY; sizeMm: XY } {
  const along = (axis: 0 | 1) => {
    const at = focus.map((terminal) => terminal.atMm[axis]);
    return { low: Math.min(...at), high: Math.max(...at) };
  };
  if (focus.length === 0) return { atMm: [0, 0], sizeMm: [0, 0] };
  const [x, y] = [along(0), along(1)];
  return { atMm: [(x.low + x.high) / 2, (y.low + y.high) / 2], sizeMm: [x.high - x.low, y.high - y.low] };
}

/** The focus in view, but not more empty bench than needed beyond the board's edge. */
function centreFor(focusMm: XY, spanMm: XY, windowMm: XY): XY {
  const along = (axis: 0 | 1) => {
    const reach = Math.max(0, spanMm[axis] / 2 - windowMm[axis] / 2 + 1.5);
    return Math.max(-reach, Math.min(reach, focusMm[axis]));
  };
  return [along(0), along(1)];
}

/** The nearest pad in a direction on the same side, or null: how the ring walks with the arrow keys. */
export function padTowards(
  model: PartModel,
  side: Side,
  from: Terminal,
  direction: 'left' | 'right' | 'up' | 'down',
): Terminal | null {
  const mirror = side === 'bottom' ? -1 : 1;
  const [dx, dy] = { left: [-1, 0], right: [1, 0], up: [0, 1], down: [0, -1] }[direction] as [number, number];
  const found = model.terminals
    .filter((terminal) => terminal.id !== from.id && terminal.sides.includes(side) && terminal.form !== 'tail')
    .map((terminal) => {
      const [x, y] = [mirror * (terminal.atMm[0] - from.atMm[0]), terminal.atMm[1] - from.atMm[1]];
      const ahead = x * dx + y * dy;
      const aside = Math.abs(x * dy) + Math.abs(y * dx);
      return { one: terminal, ahead, cost: ahead + 2.5 * aside };
    })
    .filter(({ ahead }) => ahead > 0.3)
    .sort((a, b) => a.cost - b.cost);
  return found[0]?.one ?? null;
}
