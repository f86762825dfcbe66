import { changeStep, inThisOrder } from '../changeStep';

/** A housing is put on. */
export const house = changeStep('house', {
  words: ({ about }) => `Housing ${about.housing}`,
  why: () => inThisOrder,
  takesS: () => 5,
});
