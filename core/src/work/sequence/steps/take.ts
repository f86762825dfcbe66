import { wasSlotWords } from '../../../facts/assembly/wasWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep, inThisOrder } from '../changeStep';

/** A part comes off. */
export const take = changeStep('take', {
  words: ({ about }, stages) => `Take ${wasSlotWords(about.slot, stages)} off`,
  why: () => inThisOrder,
  takesS: () => seconds.take,
});
