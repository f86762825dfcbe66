/** One thing that has to be on the table before the iron is on. */
import type { Slot } from '../names';
import type { StepId } from '../records/records';

export type KitKind =
  'part' | 'lead' | 'wire' | 'sleeve' | 'housing' | 'contact' | 'solder' | 'fixing' | 'screw' | 'tool' | 'consumable';
export type KitUnit = 'pieces' | 'mm' | 'g';

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

/** One thing in stock; a donor is a stock line too, with its own length or ways. */
export interface StockLine {
  id: string;
  key: string;
  name: string;
  unit: KitUnit;
  onHand: number;
  /** A piece that came off something: offered before new wire is cut. */
  offcut: boolean;
  place: string;
  doc: { awg?: number; colour?: string; lengthMm?: number; pitchMm?: number; ways?: number; family?: string };
}

/** not listed: the shop has never counted it, so that only the eye can say. */
export type KitState = 'enough' | 'short' | 'used' | 'not listed';

/** "4 pieces", "1.2 m", "3.5 g". */
export function amountWords(amount: number, unit: KitUnit): string {
  if (unit === 'mm') return amount >= 1000 ? `${(amount / 1000).toFixed(1)} m` : `${Math.round(amount)} mm`;
  if (unit === 'g') return `${amount.toFixed(1)} g`;
  return amount === 1 ? '1 piece' : `${Math.round(amount)} pieces`;
}
