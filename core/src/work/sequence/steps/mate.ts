import { plugWords } from '../../../facts/assembly/itemWords';
import { seconds } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';

/** A plug is pushed home. */
export const mate = changeStep('mate', {
  words: ({ about }, { target }) => `Push plug ${plugWords(about.mate, target)} home until it clicks`,
  why: () => 'both ends were looked at',
  takesS: () => seconds.plug,
});
