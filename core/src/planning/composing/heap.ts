/** A heap of parts that nobody has joined: what an aircraft shall be made of. */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { newestModels } from '../../facts/catalogue/newestModels';
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import type { Draft } from './draft';
import { emptyDraft, putOn } from './draft';

interface HeapPart {
  model: string;
  count: number;
}

export interface Heap {
  name: string;
  parts: readonly HeapPart[];
  /** Of the packs that it shall fly with; null: as the parts allow. */
  cells: Range | null;
}

/** They fly with it and are no part of its wiring. */
const loose: ReadonlySet<PartKind> = new Set(['propeller', 'pack']);

/** Every part of a heap in a slot of its own, and the pack that lies on it. */
export function draftOf({ parts, cells }: Heap, catalogue: Catalogue): { draft: Draft; pack: PartModel | null } {
  const all = parts.map(({ model, count }) => ({ model: newest(model, catalogue), count }));
  const wired = all.filter(({ model }) => !loose.has(model.kind));
  const draft = wired.reduce((made, one) => putOn(made, one, catalogue), { ...emptyDraft, cells });
  return { draft, pack: all.find(({ model }) => model.kind === 'pack')?.model ?? null };
}

/** @throws {RangeError} If the catalogue lacks it. */
export function newest(id: string, { models }: Catalogue): PartModel {
  const [found] = newestModels(models.filter((one) => one.id === id));
  if (!found) throw new RangeError(`no part model ${id} in the catalogue`);
  return found;
}
