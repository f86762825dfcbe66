/** Of part models that stand in several revisions the newest. */
import type { PartModel } from './partModel';

export function newestModels(models: readonly PartModel[]): PartModel[] {
  const byId = new Map<string, PartModel>();
  for (const model of models) if ((byId.get(model.id)?.revision ?? 0) < model.revision) byId.set(model.id, model);
  return [...byId.values()];
}
