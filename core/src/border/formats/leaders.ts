/**
 * Where the words for the pads of a board stand left and right of it, so that no two of the lines to them cross. In any
 * unit; y runs down.
 */
import type { XY } from '../../facts/terms/names';
import { segmentsCross } from '../../physics/geometry/crossings';

interface Room {
  /** Where the lines bend, left and right of the board. */
  leftX: number;
  rightX: number;
  top: number;
  bottom: number;
  /** Least distance of two rows of words. */
  row: number;
}

export interface Leader {
  side: 'left' | 'right';
  y: number;
}

/** The nearer side for each pad, while that side has room. */
export function sidesOf(pads: readonly XY[], room: Room): Leader['side'][] {
  const byX = pads.map((_, index) => index).sort((a, b) => pads[a]![0] - pads[b]![0]);
  const middle = (room.leftX + room.rightX) / 2;
  const fits = Math.floor((room.bottom - room.top) / room.row) + 1;
  const natural = byX.filter((index) => pads[index]![0] < middle).length;
  const leftCount =
    byX.length > 2 * fits ? Math.ceil(byX.length / 2) : Math.max(byX.length - fits, Math.min(natural, fits));
  const sides: Leader['side'][] = [];
  byX.forEach((index, place) => (sides[index] = place < leftCount ? 'left' : 'right'));
  return sides;
}

/**
 * Where a line leaves each pad: pads along the upper and lower edge of the board by a lane of their own beyond the
 * edge,
 * the one nearest to its side by the innermost, so that no line runs over another's pad; all others straight from the
 * pad.
 */
export function exitsOf(
  pads: readonly XY[],
  edges: readonly ('upper' | 'lower' | null)[],
  sides: readonly Leader['side'][],
  { upperY, lowerY, lane }: { upperY: number; lowerY: number; lane: number },
): XY[] {
  const exits: XY[] = pads.map(([x, y]) => [x, y]);
  for (const edge of ['upper', 'lower'] as const) {
    for (const side of ['left', 'right'] as const) {
      const own = pads.map((_, index) => index).filter((index) => edges[index] === edge && sides[index] === side);
      own.sort((a, b) => (side === 'left' ? 1 : -1) * (pads[a]![0] - pads[b]![0]));
      own.forEach(
        (index, place) =>
          (exits[index] = [
            pads[index]![0],
            edge === 'upper' ? upperY - (place + 1) * lane : lowerY + (place + 1) * lane,
          ]),
      );
    }
  }
  return exits;
}

/**
 * The row of words for each line, from where it leaves its pad. Rows come closer than asked when there are more than
 * fit.
 */
export function placeLeaders(from: readonly XY[], sides: readonly Leader['side'][], room: Room): Leader[] {
  const placed: Leader[] = [];
  for (const side of ['left', 'right'] as const) {
    const endX = side === 'left' ? room.leftX : room.rightX;
    const order = from
      .map((_, index) => index)
      .filter((index) => sides[index] === side)
      .sort((a, b) => from[a]![1] - from[b]![1]);
    const rows = spread(
      order.map((index) => from[index]![1]),
      room,
    );
    uncross(order, from, rows, endX);
    order.forEach((index, row) => (placed[index] = { side, y: rows[row]! }));
  }
  return placed;
}

/** Rows as near to where they want to be as the least distance allows; wanted must rise. */
function spread(wanted: readonly number[], { top, bottom, row }: Room): number[] {
  const gap = Math.min(row, (bottom - top) / Math.max(1, wanted.length - 1));
  const rows: number[] = [];
  for (const y of wanted) rows.push(Math.max(y, (rows.at(-1) ?? top - gap) + gap));
  for (let row = rows.length - 1, least = bottom; row >= 0; row--, least -= gap)
    rows[row] = Math.min(rows[row]!, least);
  return rows;
}

/** Exchanging two lines that cross makes both together shorter, so this ends. */
function uncross(order: number[], pads: readonly XY[], rows: readonly number[], endX: number): void {
  for (let again = true; again;) {
    again = false;
    for (let i = 0; i < order.length; i++) {
      for (let j = i + 1; j < order.length; j++) {
        if (!segmentsCross(pads[order[i]!]!, [endX, rows[i]!], pads[order[j]!]!, [endX, rows[j]!])) continue;
        [order[i], order[j]] = [order[j]!, order[i]!];
        again = true;
      }
    }
  }
}
