import { slotWords } from '../../../facts/assembly/itemWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep, inThisOrder } from '../changeStep';
import { asItWas } from '../asItWas';

/** A part comes off. */
export const take = changeStep('take', {
  words: ({ about }, stages) => `Take ${slotWords(about.slot, asItWas(stages, 'slots', about.slot))} off`,
  why: () => inThisOrder,
  takesS: () => seconds.take,
});
