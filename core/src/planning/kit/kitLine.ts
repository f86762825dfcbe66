/** One thing that has to be on the table before the iron is on. */
import type { Slot, StepId } from '../../facts/terms/names';
import type { KitUnit } from '../../facts/catalogue/stockLine';

export type KitKind =
  'part' | 'lead' | 'wire' | 'sleeve' | 'housing' | 'contact' | 'solder' | 'fixing' | 'screw' | 'tool' | 'consumable';

export interface KitLine {
  /** What it is, the same in plan, stock and log: `wire:28:red`, `part:marl-motor-2812`, `screw:M3:8`. */
  key: string;
  kind: KitKind;
  name: string;
  needed: number;
  unit: KitUnit;
  /** How the amount came about, in words. */
  because: string;
  slots: readonly Slot[];
  /** Steps that need it; a shortage is said again there. */
  steps: readonly StepId[];
}

/** not listed: the shop has never counted it, so that only the eye can say. */
export type KitState = 'enough' | 'short' | 'used' | 'not listed';
