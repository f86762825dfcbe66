import { housingWords } from '../../../facts/assembly/plugWords';
import { changeStep, inThisOrder } from '../changeStep';

/** A housing is taken away. */
export const unhouse = changeStep('unhouse', {
  words: ({ about }, { start, target }) =>
    `Put ${housingWords(about.housing, Object.hasOwn(start.build.housings, about.housing) ? start : target)} away: nothing goes into it`,
  why: () => inThisOrder,
  takesS: () => 5,
});
