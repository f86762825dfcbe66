/** Every kind of step there is. A new one is a file in steps/ and a line here; nothing else asks for verbs. */
import type { Draft, OrderedStep, StepKind } from './step';
import { count } from './steps/count';
import { drop } from './steps/drop';
import { fit } from './steps/fit';
import { free } from './steps/free';
import { hand } from './steps/hand';
import { house } from './steps/house';
import { land } from './steps/land';
import { lay } from './steps/lay';
import { lead } from './steps/lead';
import { list } from './steps/list';
import { look } from './steps/look';
import { mate } from './steps/mate';
import { mend } from './steps/mend';
import { pack } from './steps/pack';
import { permit } from './steps/permit';
import { picture } from './steps/picture';
import { power } from './steps/power';
import { prove } from './steps/prove';
import { redo } from './steps/redo';
import { say } from './steps/say';
import { send } from './steps/send';
import { settle } from './steps/settle';
import { sign } from './steps/sign';
import { take } from './steps/take';
import { touch } from './steps/touch';
import { unhouse } from './steps/unhouse';
import { unmate } from './steps/unmate';
import { weigh } from './steps/weigh';

export const stepTable = {
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
};

export type Verb = keyof typeof stepTable;
type DraftOf<V extends Verb> = (typeof stepTable)[V] extends StepKind<infer D> ? D : never;
export type StepOf<V extends Verb> = OrderedStep<DraftOf<V>>;
export type AnyDraft = { [V in Verb]: DraftOf<V> }[Verb];
export type Step = { [V in Verb]: StepOf<V> }[Verb];

/** The kind of a step; the table makes sure that it is the one for its verb. */
export function kindOf<D extends AnyDraft>({ verb }: D): StepKind<Draft> {
  return stepTable[verb as Verb] as unknown as StepKind<Draft>;
}
