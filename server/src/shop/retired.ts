/** What the shop has retired of a sort: a list of ids under a setting of its own, every version kept. */
import type { Queries } from '../database/Database';
import { saySetting, settingOf } from './shop';

type Sort = 'retired models' | 'retired templates';

export async function retiredOf(queries: Queries, sort: Sort): Promise<Set<string>> {
  return new Set((await settingOf<string[]>(queries, sort))?.value);
}

/** Retired, or taken up again. */
export async function retire(
  queries: Queries,
  sort: Sort,
  { id, retired }: { id: string; retired: boolean },
  by: { personId: string; at: Date },
): Promise<void> {
  const before = await settingOf<string[]>(queries, sort);
  const list = new Set(before?.value);
  if (retired) list.add(id);
  else list.delete(id);
  await saySetting(queries, sort, { version: (before?.version ?? 0) + 1, value: [...list] }, by);
}
