/** Wires to be cut and what they can be cut from. Lengths in mm. */

export interface WireToCut {
  wire: string;
  awg: number;
  colour: string;
  mm: number;
}

/** Of the kit's line, and of a reel in the stores. */
export const wireKey = ({ awg, colour }: Pick<WireToCut, 'awg' | 'colour'>) => `wire:${awg}:${colour}`;

export interface Offcut {
  id: string;
  awg: number;
  colour: string;
  lengthMm: number;
}

/** The tinned end of an offcut is cut away first, and each cut takes as much as the cutter is wide. */
const tinnedMm = 5;
export const kerfMm = 1;

/** The last cut needs no more than the wire itself. */
export const roomMm = ({ lengthMm }: Offcut) => Math.floor(lengthMm) - tinnedMm + kerfMm;

/** What is cut from each offcut. */
export type Filled = ReadonlyMap<Offcut, readonly WireToCut[]>;
