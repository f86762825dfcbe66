import { changeStep, inThisOrder } from '../changeStep';

/** A lead that came with a part: its housings and every contact in them, checked as one. */
export const lead = changeStep('lead', {
  words: ({ about }) => `Take supplied lead ${about.lead} and check its order`,
  why: () => inThisOrder,
  takesS: () => 20,
});
