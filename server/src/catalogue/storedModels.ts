/** Part models in the database: revisions are added, never changed. */
import { createHash } from 'node:crypto';
import type { PartModel } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson, toSqlTime } from '../database/Database';

/** Every revision of every model. */
export async function loadModels(queries: Queries): Promise<PartModel[]> {
  return (await queries.rows<{ doc: string }>('catalogue/listModels')).map(({ doc }) => fromJson<PartModel>(doc));
}

/** Adds the shipped models that the shop does not have yet. */
export async function addMissingModels(queries: Queries, shipped: readonly PartModel[], now: Date): Promise<void> {
  const known = new Set((await loadModels(queries)).map(({ id, revision }) => `${id}@${revision}`));
  for (const model of shipped) {
    if (known.has(`${model.id}@${model.revision}`)) continue;
    await queries.write('catalogue/insertModel', modelRow(model, null, toSqlTime(now.toISOString())));
  }
}

/** A model as its row. */
export function modelRow(model: PartModel, personId: string | null, at: string) {
  const doc = JSON.stringify(model);
  return {
    id: model.id,
    revision: model.revision,
    kind: model.kind,
    name: model.name,
    doc,
    sha256: createHash('sha256').update(doc).digest(),
    personId,
    at,
  };
}
