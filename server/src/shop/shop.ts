/** The shop itself: its name, and whether anybody works there yet. */
import type { Queries } from '../database/Database';
import { fromJson } from '../database/Database';

/** "Junctor" until the first lead has named the shop. */
export async function shopName(queries: Queries): Promise<string> {
  const found = await queries.row<{ value: string }>('shop/findSetting', { name: 'shop name' });
  return found ? fromJson<string>(found.value) : 'Junctor';
}

/** Which epoch of the shop this is; the first has no name of its own. */
export async function shopEpoch(queries: Queries): Promise<string> {
  const found = await queries.row<{ value: string }>('shop/findSetting', { name: 'epoch' });
  return found ? fromJson<string>(found.value) : 'first';
}

export async function hasPeople(queries: Queries): Promise<boolean> {
  const found = await queries.row<{ people: number }>('people/countPeople');
  return (found?.people ?? 0) > 0;
}
