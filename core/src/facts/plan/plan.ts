/** A plan: where the build should end, and which wires serve which function. */
import type { Build } from '../assembly/build';
import type { Id, PortId, Range, Slot, WireId } from '../terms/names';
import type { Wish } from './wish';

export interface Plan {
  jobId: Id;
  version: number;
  target: Build;
  front: Slot | null;
  links: readonly Link[];
  /** What the customer wants of the parts: what the planner serves, by loss. */
  wishes: readonly Wish[];
  /** What the technician chose by hand: the planner keeps it. */
  pinned: readonly Pinned[];
  /** Fewest and most cells in series of the packs that will be used. */
  cells: Range;
  schools: Readonly<Record<string, string>>;
}

export interface Link {
  id: string;
  purpose: string;
  ends: readonly { slot: Slot; port: PortId }[];
  wires: readonly WireId[];
  set: Readonly<Record<string, string | number | boolean>>;
  /** The wish it serves. */
  wish?: string;
}

/** One choice by hand: the pad of a terminal, the port of a wish, the colour or gauge of the wire from a terminal. */
export interface Pinned {
  what: 'terminal' | 'port' | 'colour' | 'gauge';
  of: string;
  value: string;
}

/** What a template or a build file holds: a plan that belongs to no job yet. */
export type PlanDraft = Pick<Plan, 'target' | 'front' | 'links' | 'wishes' | 'pinned' | 'cells' | 'schools'>;

/** A draft as files and older databases hold it: from before there was a planner it has no wishes. */
export type StoredDraft = Omit<PlanDraft, 'wishes' | 'pinned'> & Partial<Pick<PlanDraft, 'wishes' | 'pinned'>>;

/** The draft with nothing missing. */
export function wholeDraft(draft: StoredDraft): PlanDraft {
  return { ...draft, wishes: draft.wishes ?? [], pinned: draft.pinned ?? [] };
}
