/** What is reached from outside once all is closed: how large what goes in is, and what becomes of it without a way. */
import type { FrameOpening } from '../../../facts/catalogue/frame';
import type { Body } from '../../../facts/catalogue/partModel';

type What = Body['openings'][number]['what'];

export interface Reached {
  words: string;
  /** Half of what goes through: a plug's overmould, fingers with a card, a stick, a nut with its spanner. */
  halfMm: readonly [wide: number, high: number];
  /** Openings that let it through. */
  through: readonly FrameOpening['passes'][];
  /** Seldom wanted: without a way the lid comes off for it. */
  withLidOff: boolean;
}

const reached: Readonly<Partial<Record<What, Reached>>> = {
  usb: { words: 'USB', halfMm: [5.5, 3.3], through: ['usb'], withLidOff: false },
  card: { words: 'card slot', halfMm: [6.5, 2], through: ['card'], withLidOff: false },
  aerial: { words: 'aerial nut', halfMm: [4.5, 4.5], through: ['aerial'], withLidOff: false },
  button: { words: 'button', halfMm: [1.5, 1.5], through: ['button', 'switch', 'usb'], withLidOff: true },
  switch: { words: 'switch', halfMm: [3, 2], through: ['switch', 'button', 'usb'], withLidOff: true },
  header: { words: 'test header', halfMm: [4, 3], through: ['lead', 'usb', 'card'], withLidOff: true },
};

/** null: nobody reaches for it. */
export function reachedAs(what: What): Reached | null {
  return reached[what] ?? null;
}
