/** Steps and gates: computed from plan and log, never stored. */
import type { Change } from '../../facts/assembly/difference';
import type { ListedTouch } from '../../judgement/checks/continuityTouches';
import type { KitLine } from '../../planning/kit/kitLine';
import type { Id, Slot, StepId } from '../../facts/terms/names';
import type { Act } from '../../facts/assembly/act';

/** The stretches of the cord, in order. Each ends in the gate of its name. */
export const stretches = ['kit', 'power path', 'motors', 'controller', 'continuity', 'first power'] as const;
export type Stretch = (typeof stretches)[number];

export type StepKind =
  | { verb: Change['verb']; subject: string; effect: readonly Act[] }
  | { verb: 'redo'; subject: string; effect: readonly Act[] }
  | { verb: 'look'; subject: string; joints: readonly string[]; plug: string | null }
  | { verb: 'count'; subject: string; line: KitLine }
  | { verb: 'weigh' | 'sign'; subject: Slot }
  | { verb: 'prove'; subject: 'meter' }
  | { verb: 'touch'; subject: string; listed: ListedTouch }
  | { verb: 'say'; subject: string }
  /** A picture before something can no longer be seen. */
  | { verb: 'picture'; subject: string }
  | { verb: 'pack'; subject: 'measured' }
  | { verb: 'permit'; subject: 'first power' }
  | { verb: 'power'; subject: 'limited, all' };

export type Step = StepKind & {
  id: StepId;
  stretch: Stretch;
  /** What it belongs to, for example the motor: steps of one group stand together. */
  group: Slot;
  needs: readonly StepId[];
  /** At the bench, in seconds: an estimate until the shop has times of its own. */
  takesS: number;
  done: boolean;
  /** Why it is open again or still, or what is short although it is done, in words. */
  against: string | null;
  /** Records that satisfy it. */
  by: readonly Id[];
  /** The act that made it open again after it had been done. */
  reopenedBy: Id | null;
};

export interface Gate {
  id: Stretch;
  state: 'passed' | 'blocking';
  /** Open steps, in order. */
  missing: readonly StepId[];
  /** The act that made a passed gate block again. */
  unpassedBy: Id | null;
}
