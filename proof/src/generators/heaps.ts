/** Heaps of parts with an aircraft planted in them: those of a generated build without what everybody forgets. */
import type { Catalogue, Heap } from '@junctor/core';
import { generate } from './generate';

/** @param forgotten Slots that are left out. */
export function heapOf(seed: number, catalogue: Catalogue, forgotten = /^(BAT|CAP|ANT.*)$/): Heap {
  const { name, slots, cells } = generate(seed, catalogue, 'roomy', 6);
  const counts = new Map<string, number>();
  for (const [slot, { model }] of Object.entries(slots))
    if (!forgotten.test(slot)) counts.set(model, (counts.get(model) ?? 0) + 1);
  const parts = [...counts].map(([model, count]): Heap['parts'][number] => ({ model, count }));
  return { name, parts, cells };
}
