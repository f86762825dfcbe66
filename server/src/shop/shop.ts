/** The shop itself: its name, and whether anybody works there yet. */
import type { Queries } from '../database/Database';
import { fromJson, toSqlTime } from '../database/Database';

/** "Junctor" until the first lead has named the shop. */
export async function shopName(queries: Queries): Promise<string> {
  return (await settingOf<string>(queries, 'shop name'))?.value ?? 'Junctor';
}

/** Which epoch of the shop this is; the first has no name of its own. */
export async function shopEpoch(queries: Queries): Promise<string> {
  return (await settingOf<string>(queries, 'epoch'))?.value ?? 'first';
}

export async function hasPeople(queries: Queries): Promise<boolean> {
  const found = await queries.row<{ people: number }>('people/countPeople');
  return (found?.people ?? 0) > 0;
}

interface Setting<T> {
  /** Every version is kept. */
  version: number;
  value: T;
}

/** What the shop has said last under a name; null where it has said nothing. */
export async function settingOf<T>(queries: Queries, name: string): Promise<Setting<T> | null> {
  const found = await queries.row<{ version: number; value: string }>('shop/findSetting', { name });
  return found && { version: found.version, value: fromJson<T>(found.value) };
}

/** @param by Who says it, null for the program itself; and when. */
export async function saySetting<T>(
  queries: Queries,
  name: string,
  { version, value }: Setting<T>,
  by: { personId: string | null; at: Date },
): Promise<void> {
  const { personId, at } = by;
  const setting = { name, version, value: JSON.stringify(value), personId, at: toSqlTime(at.toISOString()) };
  await queries.write('shop/insertSetting', setting);
}
