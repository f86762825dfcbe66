import { changeStep, inThisOrder } from '../changeStep';

/** A housing is taken away. */
export const unhouse = changeStep('unhouse', {
  words: ({ about }) => `Housing ${about.housing}`,
  why: () => inThisOrder,
  takesS: () => 5,
});
