import { leadWords } from '../../../facts/assembly/plugWords';
import { changeStep, inThisOrder } from '../changeStep';

/** A lead that came with a part: its housings and every contact in them, checked as one. */
export const lead = changeStep('lead', {
  words: ({ about }, { target }) => `Take ${leadWords(about.lead, target)} and check the order of its contacts`,
  why: () => inThisOrder,
  takesS: () => 20,
});
