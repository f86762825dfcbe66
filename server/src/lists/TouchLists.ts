/**
 * The touches before first power of a plan: worked out once for what they stand on, in a worker, and kept. One at a
 * time; what ships with the shop is there at once.
 */
import { basisOf, shippedList } from '@junctor/catalogue';
import type { Meter, Plan, TouchList } from '@junctor/core';
import { listWanted } from '@junctor/core';
import { LRUCache } from 'lru-cache';
import type { ShopCatalogue } from '../catalogue/shopCatalogue';
import type { Database, Queries } from '../database/Database';
import { fromJson, toSqlTime } from '../database/Database';
import { toolsIn } from '../tools/repository';
import { listInWorker } from './inWorker';
import type { ListProgress } from './listWorker';

/** What a list is made for. */
type Planned = Pick<Plan, 'target' | 'schools'>;

export interface TouchLists {
  /** What is known now; null while it is not worked out. */
  find(queries: Queries, plan: Planned): Promise<TouchList | null>;
  /**
   * Waits until it is worked out; what failed is not tried again at once. Of a job's plans only the newest is wanted:
   * what was begun for another is ended. @throws {Superseded} Then. @throws {Error} With why there is none.
   */
  make(plan: Planned, jobId: string): Promise<TouchList>;
  /** How far the work is; null when nobody is at it. */
  progress(plan: Planned): Promise<ListProgress | null>;
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

/** Nobody wants it any more. */
export class Superseded extends Error {}

interface Work {
  jobId: string;
  at: ListProgress;
  done: Promise<TouchList>;
  end: AbortController;
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

  const begin = (basis: string, { plan, meter, jobId }: { plan: Planned; meter: Meter; jobId: string }): Work => {
    const { target, schools } = plan;
    const end = new AbortController();
    const models = Object.values(target.slots).map(({ model, revision }) => catalogue.model({ model, revision }));
    const at: Work['at'] = { share: 0, says: 'waiting for another list' };
    const turn = last.then(() => {
      end.signal.throwIfAborted();
      const onProgress = (now: ListProgress) => Object.assign(at, now);
      onProgress({ share: 0, says: 'trying every fault' });
      return listInWorker({ build: target, models, meter, ...listWanted(schools) }, { onProgress, signal: end.signal });
    });
    last = turn.catch(() => undefined);
    const done = turn.then(async (list) => {
      const values = { basis, at: toSqlTime(now().toISOString()), doc: JSON.stringify(list) };
      await database.write('lists/insertList', values);
      known.set(basis, list);
      return list;
    });
    done
      .catch((error: Error) => error instanceof Superseded || failed.set(basis, error))
      .finally(() => working.delete(basis));
    const work = { jobId, at, done, end };
    working.set(basis, work);
    return work;
  };

  return {
    find: async (queries, plan) => stored(queries, basisFor(plan, await meterIn(queries))),
    make: async (plan, jobId) => {
      const meter = await meterIn(database);
      const basis = basisFor(plan, meter);
      for (const [other, work] of working)
        if (other !== basis && work.jobId === jobId) work.end.abort(new Superseded('its plan has changed since'));
      const known = await stored(database, basis);
      if (known) return known;
      const before = failed.get(basis);
      if (before) throw before;
      return (working.get(basis) ?? begin(basis, { plan, meter, jobId })).done;
    },
    progress: async (plan) => {
      const basis = basisFor(plan, await meterIn(database));
      const before = failed.get(basis);
      return before
        ? { share: 0, says: `it failed and is tried again in a minute: ${before.message}` }
        : (working.get(basis)?.at ?? null);
    },
  };
}

function basisFor({ target, schools }: Planned, meter: Meter): string {
  return basisOf(target, meter, listWanted(schools));
}

/** The shop's meter: the first of its tools that is one. */
async function meterIn(queries: Queries): Promise<Meter> {
  const tool = (await toolsIn(queries)).find(({ kind }) => kind === 'meter')!;
  return { ...(tool.doc as Omit<Meter, 'id' | 'name'>), id: tool.id, name: tool.name };
}
