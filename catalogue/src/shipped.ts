/** The part models and the template plan that ship with every shop, read from their JSON files. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { PartModel, PlanDraft, StoredDraft } from '@junctor/core';
import { wholeDraft } from '@junctor/core';

const root = join(import.meta.dirname, '..');

/** Part models in order of file name. */
export function shippedModels(): PartModel[] {
  return readJsonFolder<PartModel>('models').map(({ doc }) => doc);
}

export interface Template {
  id: string;
  name: string;
  plan: PlanDraft;
}

/** Template plans, the simplest first. */
export function shippedTemplates(): Template[] {
  const all = readJsonFolder<{ name: string; plan: StoredDraft }>('templates').map(({ file, doc }) => ({
    id: file.replace(/\.json$/, ''),
    name: doc.name,
    plan: wholeDraft(doc.plan),
  }));
  const parts = ({ plan }: Template) => Object.keys(plan.target.slots).length;
  return all.sort((a, b) => parts(a) - parts(b));
}

/** One template. @throws {RangeError} If it does not ship. */
export function shippedTemplate(id: string): Template {
  const found = shippedTemplates().find((template) => template.id === id);
  if (!found) throw new RangeError(`no template ${id}`);
  return found;
}

/** Every JSON file of a folder of this room, in order of file name. */
export function readJsonFolder<T>(folder: string): { file: string; doc: T }[] {
  const files = readdirSync(join(root, folder))
    .filter((file) => file.endsWith('.json'))
    .sort();
  return files.map((file) => ({ file, doc: JSON.parse(readFileSync(join(root, folder, file), 'utf8')) as T }));
}
