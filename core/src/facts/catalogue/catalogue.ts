/** Look-up of part models by id and revision. */
import type { PartModel, Terminal } from './partModel';

/** A revision of a part model, by name. */
export interface ModelRef {
  model: string;
  revision: number;
}

export interface Catalogue {
  readonly models: readonly PartModel[];
  /** The model of a fitted part. @throws {RangeError} If the catalogue lacks that revision. */
  model(fitted: ModelRef): PartModel;
  has(fitted: ModelRef): boolean;
}

/** A catalogue over the given models; later duplicates of an id and revision are ignored. */
export function makeCatalogue(models: readonly PartModel[]): Catalogue {
  // Asked for in every innermost loop: no key is put together.
  const byId = new Map<string, Map<number, PartModel>>();
  const all: PartModel[] = [];
  for (const model of models) {
    const revisions = byId.get(model.id) ?? new Map<number, PartModel>();
    byId.set(model.id, revisions);
    if (revisions.has(model.revision)) continue;
    revisions.set(model.revision, model);
    all.push(model);
  }
  return {
    models: all,
    has: ({ model, revision }) => byId.get(model)?.has(revision) ?? false,
    model({ model, revision }) {
      const found = byId.get(model)?.get(revision);
      if (!found) throw new RangeError(`no part model ${model} revision ${revision} in the catalogue`);
      return found;
    },
  };
}

const terminalMaps = new WeakMap<PartModel, Map<string, Terminal>>();

/** A terminal of a model by its id, or null. */
export function terminalOf(model: PartModel, id: string): Terminal | null {
  let map = terminalMaps.get(model);
  if (!map) {
    map = new Map(model.terminals.map((terminal) => [terminal.id, terminal]));
    terminalMaps.set(model, map);
  }
  return map.get(id) ?? null;
}
