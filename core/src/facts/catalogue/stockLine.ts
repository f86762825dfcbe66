/** Things in stock, and amounts of them in words. */

export type KitUnit = 'pieces' | 'mm' | 'g';

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

/** "4 pieces", "1.2 m", "3.5 g". */
export function amountWords(amount: number, unit: KitUnit): string {
  if (unit === 'mm') return amount >= 1000 ? `${(amount / 1000).toFixed(1)} m` : `${Math.round(amount)} mm`;
  if (unit === 'g') return `${amount.toFixed(1)} g`;
  return amount === 1 ? '1 piece' : `${Math.round(amount)} pieces`;
}
