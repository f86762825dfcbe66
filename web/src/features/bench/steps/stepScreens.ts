/**
 * The screen of every kind of step. A new kind is a file here and a line below; nothing else in the pages asks for
 * verbs.
 */
import type { Step, Verb } from '@junctor/core';
import { count } from './count';
import { drop } from './drop';
import { fit } from './fit';
import { free } from './free';
import { hand } from './hand';
import { house } from './house';
import { land } from './land';
import { lay } from './lay';
import { lead } from './lead';
import { list } from './list';
import { look } from './look';
import { mate } from './mate';
import { mend } from './mend';
import { pack } from './pack';
import { permit } from './permit';
import { picture } from './picture';
import { power } from './power';
import { prove } from './prove';
import { redo } from './redo';
import { say } from './say';
import { send } from './send';
import { settle } from './settle';
import { sign } from './sign';
import type { StepScreen } from './stepScreen';
import { take } from './take';
import { touch } from './touch';
import { unhouse } from './unhouse';
import { unmate } from './unmate';
import { weigh } from './weigh';

const stepScreens = {
  count,
  say,
  weigh,
  sign,
  picture,
  lay,
  unmate,
  free,
  drop,
  take,
  unhouse,
  fit,
  house,
  lead,
  land,
  redo,
  look,
  mate,
  mend,
  prove,
  list,
  touch,
  pack,
  permit,
  power,
  settle,
  send,
  hand,
} satisfies { [V in Verb]: StepScreen<Extract<Step, { verb: V }>> };

/** The screen of a step; the table makes sure that it is the one for its verb. */
export function screenOf({ verb }: Step): StepScreen {
  return stepScreens[verb] as unknown as StepScreen;
}
