/** What the model is made from and what its variables are called. */
import type { Slot, TerminalRef } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { Wish } from '../../facts/plan/wish';
import type { SoftPenalty } from './softPenalties';
import type { Need } from './needs';
import type { Constraint, Terms } from '../../facts/terms/solver';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Option } from './ways';
import type { PowerPath } from './fixedJoins';

export interface WiringInput {
  assembly: Assembly;
  path: PowerPath;
  needs: readonly Need[];
  wishes: readonly Wish[];
  options: readonly Option[];
  pinned: readonly Pinned[];
  /** Given where pads are left out of account: they hold as many wires as anybody wants, and these parts are wired. */
  roomyFor?: ReadonlySet<Slot>;
  /** Parts that can stand for one another, in the order in which they are served. */
  alike: readonly (readonly Slot[])[];
  /** Joints that exist already, as `own>pad`: making them again costs nothing. */
  kept: ReadonlySet<string>;
}

export interface WiringModel {
  constraints: readonly Constraint[];
  binaries: readonly string[];
  counts: readonly string[];
  loss: Terms;
  /** Counts of what is penalised, by kind. */
  penalised: Readonly<Record<SoftPenalty, readonly string[]>>;
  length: Terms;
}

export const joinName = (own: TerminalRef, pad: TerminalRef) => `x ${own}>${pad}`;

export const optionName = (id: string) => `y ${id}`;

export const dropName = (wish: string) => `drop ${wish}`;

export const usedName = (slot: Slot) => `u ${slot}`;

export const doubledName = (pad: TerminalRef) => `d ${pad}`;

export const apartName = (slot: Slot) => `apart ${slot}`;

export const darkName = (slot: Slot) => `dark ${slot}`;

export const splitName = (slot: Slot) => `split ${slot}`;
