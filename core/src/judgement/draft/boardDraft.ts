/** A new board as somebody enters it with the bag open: size, holes, rows of printed pads, and what the labels mean. */
import type { XY } from '../../facts/terms/names';
import type { PartKind, Side } from '../../facts/catalogue/partModel';
import type { Meaning } from '../labels/meaning';

export type Edge = 'top' | 'bottom' | 'left' | 'right';

/** Pads in one line along an edge, at one pitch; the order is as printed, left to right or top to bottom. */
export interface PadRow {
  edge: Edge;
  side: Side;
  pitchMm: number;
  /** From the edge's middle to the first pad; null: the row is centred. */
  firstMm: number | null;
  /** Along the edge, and inwards. */
  padMm: readonly [alongMm: number, inwardsMm: number];
  /** Name of the connector when the row is the pins of one; null for pads. */
  connector: string | null;
  labels: readonly string[];
}

/** A pad placed by hand, on a photograph or by numbers. */
export interface PlacedPad {
  printed: string;
  atMm: XY;
  sizeMm: readonly [number, number];
  side: Side;
}

export interface BoardDraft {
  name: string;
  maker: string;
  kind: PartKind;
  massG: number;
  widthMm: number;
  heightMm: number;
  thickMm: number;
  /** Distance between mounting holes, and their drill; null: none. */
  holesMm: { patternMm: number; drillMm: number } | null;
  /** Volts that it takes on its battery pads. */
  batteryV: readonly [min: number, max: number];
  rows: readonly PadRow[];
  placed: readonly PlacedPad[];
  /** What a person has said of a pad, by its number; null: nobody knows. */
  answers: Readonly<Record<number, Meaning | null>>;
}

export interface DraftPad {
  /** Number of the pad over the whole board, in order of entry. */
  index: number;
  printed: string;
  atMm: XY;
  sizeMm: readonly [number, number];
  side: Side;
  /** Of its row; null: placed by hand. */
  edge: Edge | null;
  connector: string | null;
}

/** How far the outer end of a pad stands from the board's edge. */
const rimMm = 0.4;

/** Every pad with its place. Rows run along their edge; a row on the bottom is entered as seen from the bottom. */
export function draftPads({ rows, placed, widthMm, heightMm }: BoardDraft): DraftPad[] {
  const fromRows = rows.flatMap((row) =>
    row.labels.map((printed, place) => ({
      printed,
      side: row.side,
      edge: row.edge,
      connector: row.connector,
      ...placeInRow(row, place, widthMm, heightMm),
    })),
  );
  const byHand = placed.map((pad) => ({ ...pad, edge: null, connector: null }));
  return [...fromRows, ...byHand].map((pad, index) => ({ ...pad, index }));
}

function placeInRow(
  { edge, pitchMm, firstMm, padMm, labels, side }: PadRow,
  place: number,
  widthMm: number,
  heightMm: number,
): { atMm: XY; sizeMm: readonly [number, number] } {
  const start = firstMm ?? (-(labels.length - 1) * pitchMm) / 2;
  const along = start + place * pitchMm;
  const inset = padMm[1] / 2 + rimMm;
  // Seen from below, left is right.
  const mirrored = side === 'bottom' ? -1 : 1;
  const round = (value: number) => Math.round(value * 1000) / 1000;
  if (edge === 'top' || edge === 'bottom') {
    return {
      atMm: [round(mirrored * along), round((edge === 'top' ? 1 : -1) * (heightMm / 2 - inset))],
      sizeMm: padMm,
    };
  }
  const x = (edge === 'right' ? 1 : -1) * mirrored * (widthMm / 2 - inset);
  return { atMm: [round(x), round(-along)], sizeMm: [padMm[1], padMm[0]] };
}

/** Labels typed or pasted in order: separated by spaces, commas, semicolons, tabs or lines. */
export function splitLabels(text: string): string[] {
  return text.split(/[\s,;|]+/).filter(Boolean);
}

/**
 * Millimetres on the part from points on a photograph, by two points whose distance is known. The picture's first
 * point is laid at `firstMm`; the line from first to second gives the turn.
 * @throws {RangeError} If the two points are one.
 */
export function photoScale(
  first: XY,
  second: XY,
  { distanceMm, firstMm, turnDeg }: { distanceMm: number; firstMm: XY; turnDeg: number },
): (at: XY) => XY {
  const [dx, dy] = [second[0] - first[0], second[1] - first[1]];
  const lengthPx = Math.hypot(dx, dy);
  if (lengthPx === 0 || distanceMm <= 0) throw new RangeError('two points on one place give no scale');
  const scale = distanceMm / lengthPx;
  // Pictures count downwards, parts upwards.
  const angle = (turnDeg * Math.PI) / 180 - Math.atan2(-dy, dx);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return ([x, y]) => {
    const [px, py] = [(x - first[0]) * scale, -(y - first[1]) * scale];
    return [firstMm[0] + px * cos - py * sin, firstMm[1] + px * sin + py * cos];
  };
}
