/** Which quad next: every open job with what it waits for and the next thing to do. */
import { createHash } from 'node:crypto';
import type { FloorLine, JobProgress } from '@junctor/core';
import { Router } from 'express';
import { fromJson } from '../database/Database';
import type { ViewStamp } from '../jobs/jobView';
import { isBehind, rebuildJobViews } from '../jobs/jobView';
import { requireLead } from '../session/session';
import type { LogDeps } from '../log/QuadLogs';

export function floorRoutes(deps: LogDeps): Router {
  const floor = makeFloor(deps);
  return Router()
    .get('/floor', async (_request, response) => {
      const { tag, body } = await floor.now();
      // A page that asks again is answered without a body while nothing has moved.
      response.set({ etag: tag, 'cache-control': 'private, no-cache' }).type('json').send(body);
    })
    .get('/floor/late', async (_request, response) => {
      requireLead(response);
      response.json(await deps.database.rows('jobs/listLateActs'));
    });
}

interface FloorReply {
  /** The same for the same floor. */
  tag: string;
  /** Lines as JSON. */
  body: string;
}

/** The floor as it hangs now. While no stamp has moved the reply of last time is given again. */
export function makeFloor(deps: LogDeps): { now(): Promise<FloorReply> } {
  const { database } = deps;
  let known: FloorReply | null = null;
  const stampsNow = () => database.rows<ViewStamp>('jobs/listViewStamps');
  return {
    now: async () => {
      let stamps = await stampsNow();
      if (stamps.some(isBehind)) {
        await rebuildJobViews(deps);
        stamps = await stampsNow();
      }
      const tag = tagOf(stamps);
      if (known?.tag !== tag) known = { tag, body: JSON.stringify(await lines(deps)) };
      return known;
    },
  };
}

function tagOf(stamps: readonly ViewStamp[]): string {
  const text = stamps.map(({ jobId, planVersion, logSeq, dueOn }) => `${jobId} ${planVersion} ${logSeq} ${dueOn}`);
  return `"${createHash('sha1').update(text.join('\n')).digest('base64url')}"`;
}

async function lines({ database }: LogDeps): Promise<FloorLine[]> {
  const rows = await database.rows<Omit<FloorLine, keyof JobProgress> & { doc: string }>('jobs/listFloorLines');
  return rows.map(({ doc, ...line }) => ({ ...line, ...fromJson<JobProgress>(doc) }));
}
