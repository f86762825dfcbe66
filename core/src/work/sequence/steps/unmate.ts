import { plugWords } from '../../../facts/assembly/plugWords';
import { seconds } from '../../../physics/joints/seconds';
import { asItWas } from '../asItWas';
import { changeStep, inThisOrder } from '../changeStep';

/** A plug is pulled. */
export const unmate = changeStep('unmate', {
  words: ({ about }, stages) => `Unplug ${plugWords(about.mate, asItWas(stages, 'mates', about.mate))}`,
  why: () => inThisOrder,
  takesS: () => seconds.plug,
});
