import type { FrameDraft } from '@junctor/core';

/** A usual 8-inch frame, to be typed over. */
export const emptyFrame: FrameDraft = {
  name: '',
  maker: '',
  massG: 180,
  motors: 'four',
  acrossMm: 240,
  alongMm: 240,
  propellerMm: 203,
  conducts: true,
  wideMm: 70,
  longMm: 156,
  bottomMm: 2.5,
  armsMm: 4,
  lid: { overMm: 36, thickMm: 2, settlesMm: 0.8 },
  stack: { patternMm: 30.5, aheadMm: 0, screwMm: 22 },
  pack: 'on top',
  places: [],
  openings: [],
};
