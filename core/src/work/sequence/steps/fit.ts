import { slotWords } from '../../../facts/assembly/slotWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';

/** A part goes in its place. */
export const fit = changeStep('fit', {
  words: ({ about }, { target }) => `Put ${slotWords(about.slot, target)} in its place`,
  why: () => 'its wires can only be cut and landed where it will live',
  takesS: () => seconds.fit,
});
