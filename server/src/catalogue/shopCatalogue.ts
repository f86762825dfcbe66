/** The shop's catalogue in memory: grows when a lead adds models, never changes what it has. */
import type { Catalogue, PartModel } from '@junctor/core';
import { makeCatalogue } from '@junctor/core';

export interface ShopCatalogue extends Catalogue {
  add(models: readonly PartModel[]): void;
  /** Every revision of a model, oldest first; empty when there is no such model. */
  revisions(id: string): readonly PartModel[];
}

export function makeShopCatalogue(models: readonly PartModel[]): ShopCatalogue {
  let now = makeCatalogue(models);
  let byId = grouped(now.models);
  return {
    get models() {
      return now.models;
    },
    has: (fitted) => now.has(fitted),
    model: (fitted) => now.model(fitted),
    revisions: (id) => byId.get(id) ?? [],
    add(more) {
      now = makeCatalogue([...now.models, ...more]);
      byId = grouped(now.models);
    },
  };
}

function grouped(models: readonly PartModel[]): ReadonlyMap<string, readonly PartModel[]> {
  const byId = new Map<string, PartModel[]>();
  for (const model of models) byId.set(model.id, [...(byId.get(model.id) ?? []), model]);
  for (const list of byId.values()) list.sort((a, b) => a.revision - b.revision);
  return byId;
}
