/** What lies on the heap, a line each: parts that are alike are one. */
import type { Catalogue, Fitted, PartModel, Slot } from '@junctor/core';

export interface HeapLine {
  model: PartModel;
  slots: readonly Slot[];
  isInHand: boolean;
}

export function heapLines(slots: Readonly<Record<Slot, Fitted>>, catalogue: Catalogue): HeapLine[] {
  const lines = new Map<string, HeapLine>();
  for (const [slot, fitted] of Object.entries(slots)) {
    if (!catalogue.has(fitted)) continue;
    const isInHand = fitted.part !== null;
    const key = `${fitted.model}@${fitted.revision}${isInHand ? ' in hand' : ''}`;
    const line = lines.get(key) ?? { model: catalogue.model(fitted), slots: [], isInHand };
    lines.set(key, { ...line, slots: [...line.slots, slot] });
  }
  return [...lines.values()];
}

/** "M1 to M4", "RX", "ESC1 and ESC3". */
export function slotsNamed(slots: readonly Slot[]): string {
  const [first, last] = [slots[0]!, slots.at(-1)!];
  if (slots.length < 3) return slots.join(' and ');
  const number = (slot: Slot) => Number(/\d+$/.exec(slot)?.[0] ?? Number.NaN);
  const isRun = slots.every((slot, index) => number(slot) === number(first) + index);
  return isRun ? `${first} to ${last}` : slots.join(', ');
}
