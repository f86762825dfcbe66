import { housingWords } from '../../../facts/assembly/plugWords';
import { changeStep, inThisOrder } from '../changeStep';

/** A housing is made ready for its contacts. */
export const house = changeStep('house', {
  words: ({ about }, { target }) => `Lay ${housingWords(about.housing, target)} ready, and try it empty in its socket`,
  why: () => inThisOrder,
  takesS: () => 5,
});
