/** A frame as somebody enters it with a caliper in hand: plates, motors, places and openings. Lengths in mm. */
import type { FrameOpening, Place } from '../../facts/catalogue/frame';
import type { PartKind } from '../../facts/catalogue/partModel';
import type { XY } from '../../facts/terms/names';

export const motorPatterns = ['four', 'six in a ring', 'eight in a ring', 'eight in pairs'] as const;
export type MotorPattern = (typeof motorPatterns)[number];

export interface FrameDraft {
  name: string;
  maker: string;
  massG: number;
  motors: MotorPattern;
  /** Between the front motors' axes, and from the front ones' to the rear ones'; of a ring across it, twice. */
  acrossMm: number;
  alongMm: number;
  propellerMm: number;
  /** Carbon, or metal. */
  conducts: boolean;
  wideMm: number;
  longMm: number;
  bottomMm: number;
  armsMm: number;
  /** From the bottom plate's upper face to the lid's lower one, and by how much it settles at most; null: open. */
  lid: { overMm: number; thickMm: number; settlesMm: number } | null;
  /** On which holes, how far ahead of the middle, on screws how long. */
  stack: { patternMm: number; aheadMm: number; screwMm: number };
  pack: 'on top' | 'underneath';
  places: readonly DraftPlace[];
  openings: readonly DraftOpening[];
}

export const draftPlaceKinds = ['bay', 'surface', 'cheeks', 'lid'] as const satisfies readonly Place['kind'][];

/** Measured from the middle of the bottom plate's upper face; on the lid from that of the lid's. */
export interface DraftPlace {
  name: string;
  kind: (typeof draftPlaceKinds)[number];
  /** To the right, ahead, and up to the surface that the part stands on. */
  atMm: readonly [number, number, number];
  /** Across, along and up. */
  roomMm: readonly [number, number, number];
  /** Between its holes; null: none. */
  patternMm: number | null;
  /** What it is made for; null: anything that goes in. */
  madeFor: PartKind | null;
}

export const draftSides = ['left', 'right', 'front', 'rear', 'above', 'below'] as const;
export type DraftSide = (typeof draftSides)[number];

export interface DraftOpening {
  name: string;
  passes: FrameOpening['passes'];
  side: DraftSide;
  /**
   * Its middle: of one in a side ahead of the frame's middle and over the bottom plate; in front and rear to the right,
   * and over that plate; above and below to the right and ahead.
   */
  atMm: XY;
  /** Wide and high; above and below across and along. */
  sizeMm: XY;
}
