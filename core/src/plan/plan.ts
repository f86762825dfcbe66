/** A plan: where the build should end, and which wires serve which function. */
import type { Build } from '../build/build';
import type { Id, PortId, Range, Slot, WireId } from '../names';

export interface Plan {
  jobId: Id;
  version: number;
  target: Build;
  front: Slot | null;
  links: readonly Link[];
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
}

/** What a template or a build file holds: a plan that belongs to no job yet. */
export type PlanDraft = Pick<Plan, 'target' | 'front' | 'links' | 'cells' | 'schools'>;
