/** Logs as they stand: a quad's records are read and folded once, afterwards only what has come since. */
import type { Catalogue, LogState, QuadRecord } from '@junctor/core';
import { advance, emptyLog } from '@junctor/core';
import { LRUCache } from 'lru-cache';
import type { Queries } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { TouchLists } from '../lists/TouchLists';
import type { Deps } from '../http/Deps';
import { recordsAfter } from './repository';

/** Quads whose logs are kept in memory. */
const kept = 100;

export interface QuadLogs {
  /**
   * What a quad's log amounts to now. Call it once in a request, before anything is written: what a transaction has not
   * committed must not be kept.
   */
  read(queries: Queries, quadId: string): Promise<LogState>;
}

export interface LogDeps extends Deps {
  logs: QuadLogs;
  lists: TouchLists;
}

/** @throws {ApiError} 409 when a record cannot be read by this version: it is kept, and nothing is added behind it. */
function folded(records: readonly QuadRecord[], before: LogState): LogState {
  try {
    return records.reduce(advance, before);
  } catch (error) {
    if (!(error instanceof RangeError) && !(error instanceof TypeError)) throw error;
    throw new ApiError(409, 'log.unreadable', `The log of this quad cannot be worked out: ${error.message}`);
  }
}

export function makeQuadLogs(catalogue: Catalogue): QuadLogs {
  const known = new LRUCache<string, LogState>({ max: kept });
  return {
    read: async (queries, quadId) => {
      const before = known.get(quadId) ?? emptyLog(catalogue);
      const fresh = await recordsAfter(queries, quadId, before.lastSeq);
      const log = folded(fresh, before);
      // Two requests may read at once: the one that saw more stays.
      if (log.lastSeq >= (known.peek(quadId)?.lastSeq ?? 0)) known.set(quadId, log);
      return log;
    },
  };
}
