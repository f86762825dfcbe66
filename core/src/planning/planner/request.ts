/** What the planner is asked, and what it answers. */
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Link, Pinned } from '../../facts/plan/plan';
import type { Wish } from '../../facts/plan/wish';
import type { Range, Slot } from '../../facts/terms/names';
import type { Finding } from '../../judgement/rules/finding';
import type { SoftPenalties } from './softPenalties';

export interface PlanRequest {
  /** The parts, with their places where known. */
  slots: Build['slots'];
  catalogue: Catalogue;
  cells: Range;
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
  /** What is wired already, or begun: its joints are kept where they serve. */
  keep?: Build;
  /** What really exists, where `keep` goes beyond it: work is counted from here. */
  built?: Build;
  /** Models of which a part lies in the Stores, free to be taken; not known without it. */
  inStores?: ReadonlySet<string>;
  /** Parts of `keep` that stay in, out of use, and are not among the slots. */
  dormant?: readonly Slot[];
}

export interface PlannedWish {
  wish: Wish;
  /** null: dropped. */
  way: string | null;
  /** Port of the other part, as `FC/UART2`; null when it takes none. */
  port: string | null;
}

export interface Planned {
  is: 'planned';
  target: Build;
  links: readonly Link[];
  wishes: readonly PlannedWish[];
  /**
   * What the three aims came to, as they were weighed: loss, soft penalties, and millimetres with so many for each
   * joint.
   */
  cost: { loss: number; softPenalties: number; lengthMm: number };
  /** Its soft penalties, counted. */
  softPenalties: SoftPenalties;
  /** How often wires cross seen from above, before pads that serve alike were exchanged and after. */
  crossings: { before: number; after: number };
  findings: readonly Finding[];
}

/**
 * What cannot all be, and can as soon as any one of it is let go: wishes, or parts, when these parts cannot be wired at
 * all.
 */
export interface Conflict {
  is: 'conflict';
  wishes: readonly string[];
  parts: readonly Slot[];
  why: string;
}

export type PlanResult = Planned | Conflict | { is: 'gave up'; why: string };

/** Called between solves: how far it is, from 0 to 1, and in words. */
export type OnProgress = (share: number, words: string) => void;
