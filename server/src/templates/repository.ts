/** Template plans: those that ship, and those that the shop has kept of its jobs. */
import type { TemplateLine } from '@junctor/core';
import { wholeDraft } from '@junctor/core';
import type { Queries } from '../database/Database';
import { fromJson, fromSqlTime, toSqlTime } from '../database/Database';
import type { Deps, Template } from '../http/Deps';
import { retiredOf } from '../shop/retired';

export async function listTemplates(queries: Queries, { templates }: Pick<Deps, 'templates'>): Promise<TemplateLine[]> {
  const retired = await retiredOf(queries, 'retired templates');
  const own = await queries.rows<{ id: string; name: string; madeAt: string; person: string }>(
    'templates/listTemplates',
  );
  return [
    ...own.map((row) => ({ ...row, madeAt: fromSqlTime(row.madeAt) })),
    ...templates.map(({ id, name }) => ({ id, name, madeAt: null, person: null })),
  ].map((line): TemplateLine => ({ ...line, retired: retired.has(line.id) }));
}

export async function findTemplate(
  queries: Queries,
  { templates }: Pick<Deps, 'templates'>,
  id: string,
): Promise<Template | null> {
  const shipped = templates.find((one) => one.id === id);
  if (shipped) return shipped;
  const own = isOwnId.test(id)
    ? await queries.row<{ name: string; plan: string }>('templates/findTemplate', { id })
    : null;
  return own && { id, name: own.name, plan: wholeDraft(fromJson(own.plan)) };
}

/** What the shop keeps has an id as everything has that is stored; what ships has a name. */
const isOwnId = /^[0-9a-f-]{36}$/;

/** Kept under its name; a name that is taken is refused by the database. */
export async function keepTemplate(
  queries: Queries,
  { id, name, plan }: Template,
  by: { personId: string; at: Date },
): Promise<void> {
  const kept = { id, name, personId: by.personId, madeAt: toSqlTime(by.at.toISOString()), plan: JSON.stringify(plan) };
  await queries.write('templates/insertTemplate', kept);
}
