/** The log of a quad: read after a seq, added to, never changed. */
import { permitRequest, sentRecords } from '@junctor/core/schemas';
import { Router } from 'express';
import { ApiError } from '../http/ApiError';
import type { LogDeps } from '../log/QuadLogs';
import { idFrom, validated } from '../http/validated';
import type { Queries } from '../database/Database';
import type { Person } from '../session/session';
import { holderOf, personIn } from '../session/session';
import type { PermitRequest } from './permit';
import { givePermit } from './permit';
import type { SentRecord } from '../log/repository';
import { recordsAfter } from '../log/repository';
import { storeRecords } from './storeRecords';

export function recordRoutes(deps: LogDeps): Router {
  const router = Router();
  router.get('/quads/:id/records', async (request, response) => {
    const after = Number(request.query.after ?? 0);
    if (!Number.isSafeInteger(after) || after < 0)
      throw new ApiError(422, 'after.wrong', '“after” is a seq', { path: 'after' });
    response.json(await recordsAfter(deps.database, idFrom(request.params.id), after));
  });
  router.post('/quads/:id/records', async (request, response) => {
    const { records, hand } = validated<{ records: SentRecord[]; hand?: string }>(sentRecords, request.body);
    const maker = await makerOf(deps.database, personIn(response), records, hand);
    response.json({ records: await storeRecords(deps, idFrom(request.params.id), maker, records) });
  });
  router.post('/quads/:id/permits', async (request, response) => {
    const asked = validated<PermitRequest>(permitRequest, request.body);
    response.json(await givePermit(deps, idFrom(request.params.id), personIn(response).personId, asked));
  });
  return router;
}

type Maker = Pick<Person, 'personId' | 'role'>;

/** In whose name records are stored: whoever is signed in, or whoever made them on this device before and proves it. */
async function makerOf(
  queries: Queries,
  signedIn: Person,
  records: readonly SentRecord[],
  hand: string | undefined,
): Promise<Maker> {
  if (!hand || records.every(({ personId }) => personId === signedIn.personId)) return signedIn;
  const holder = await holderOf(queries, hand);
  return holder && records.every(({ deviceId }) => deviceId === holder.deviceId) ? holder : signedIn;
}
