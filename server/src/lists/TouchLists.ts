/**
 * The touches before first power of a plan: worked out once for what they stand on, in a worker, and kept. One at a
 * time; what ships with the shop is there at once.
 */
import { basisOf, shippedList } from '@junctor/catalogue';
import type { Build, Meter, TouchList } from '@junctor/core';
import { LRUCache } from 'lru-cache';
import type { ShopCatalogue } from '../catalogue/shopCatalogue';
import type { Database, Queries } from '../database/Database';
import { fromJson, toSqlTime } from '../database/Database';
import { toolsIn } from '../tools/repository';
import { listInWorker } from './inWorker';
import type { ListProgress } from './listWorker';

export interface TouchLists {
  /** What is known now; null while it is not worked out. */
  find(queries: Queries, target: Build): Promise<TouchList | null>;
  /** Waits until it is worked out; what failed is not tried again at once. @throws {Error} With why. */
  make(target: Build): Promise<TouchList>;
  /** How far the work is; null when nobody is at it. */
  progress(target: Build): Promise<ListProgress | null>;
}

interface Given {
  database: Database;
  catalogue: ShopCatalogue;
  now: () => Date;
}

/** What failed is tried again after so long, when somebody asks. */
const againAfterMs = 60_000;

/** Lists that are kept in memory. */
const kept = 50;

interface Work {
  at: ListProgress;
  done: Promise<TouchList>;
}

export function makeTouchLists({ database, catalogue, now }: Given): TouchLists {
  const known = new LRUCache<string, TouchList>({ max: kept });
  const working = new Map<string, Work>();
  const failed = new LRUCache<string, Error>({ max: kept, ttl: againAfterMs });
  let last: Promise<unknown> = Promise.resolve();

  const stored = async (queries: Queries, basis: string): Promise<TouchList | null> => {
    const found = known.get(basis) ?? shippedList(basis);
    if (found) return found;
    const row = await queries.row<{ doc: string }>('lists/findList', { basis });
    const list = row && fromJson<TouchList>(row.doc);
    if (list) known.set(basis, list);
    return list;
  };

  const begin = (basis: string, target: Build, meter: Meter): Work => {
    const models = Object.values(target.slots).map(({ model, revision }) => catalogue.model({ model, revision }));
    const at: Work['at'] = { share: 0, says: 'waiting for another list' };
    const turn = last.then(() => listInWorker({ build: target, models, meter }, (now) => Object.assign(at, now)));
    last = turn.catch(() => undefined);
    const done = turn.then(async (list) => {
      const values = { basis, at: toSqlTime(now().toISOString()), doc: JSON.stringify(list) };
      await database.write('lists/insertList', values);
      known.set(basis, list);
      return list;
    });
    done.catch((error: Error) => failed.set(basis, error)).finally(() => working.delete(basis));
    const work = { at, done };
    working.set(basis, work);
    return work;
  };

  return {
    find: async (queries, target) => stored(queries, basisOf(target, await meterIn(queries))),
    make: async (target) => {
      const meter = await meterIn(database);
      const basis = basisOf(target, meter);
      const known = await stored(database, basis);
      if (known) return known;
      const before = failed.get(basis);
      if (before) throw before;
      return (working.get(basis) ?? begin(basis, target, meter)).done;
    },
    progress: async (target) => {
      const basis = basisOf(target, await meterIn(database));
      const before = failed.get(basis);
      return before
        ? { share: 0, says: `it failed and is tried again in a minute: ${before.message}` }
        : (working.get(basis)?.at ?? null);
    },
  };
}

/** The shop's meter: the first of its tools that is one. */
async function meterIn(queries: Queries): Promise<Meter> {
  const tool = (await toolsIn(queries)).find(({ kind }) => kind === 'meter')!;
  return { ...(tool.doc as Omit<Meter, 'id' | 'name'>), id: tool.id, name: tool.name };
}
