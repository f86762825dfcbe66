/** The shipped catalogue and the plans of the demo shop, read as files: pages know neither. */
import { readdirSync, readFileSync } from 'node:fs';
import type { PartModel, PlanDraft, StoredDraft } from '@junctor/core';
import { makeCatalogue, wholeDraft } from '@junctor/core';

const folder = new URL('../../../demo/', import.meta.url);
const read = (path: string) => JSON.parse(readFileSync(new URL(path, folder), 'utf8')) as unknown;

export const catalogue = makeCatalogue(
  readdirSync(new URL('catalogue', folder))
    .filter((name) => name.endsWith('.json'))
    .map((name) => read(`catalogue/${name}`) as PartModel),
);

export function demoPlan(id: string): PlanDraft {
  return wholeDraft((read(`jobs/${id}.json`) as { plan: StoredDraft }).plan);
}
