/** Meters and limiters of the shop: what a bench screen computes with. A lead enters a card; anybody takes one up. */
import type { Meter } from '@junctor/core';
import { newMeter } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { requireLead } from '../session/session';
import { toolsIn } from './repository';

export function toolRoutes({ database, now }: Deps): Router {
  const router = Router();
  router.get('/tools', async (_request, response) => {
    response.json(await toolsIn(database));
  });
  router.post('/tools', async (request, response) => {
    requireLead(response);
    const { id, name, card } = validated<{ id: string; name: string; card: Omit<Meter, 'id' | 'name'> }>(
      newMeter,
      request.body,
    );
    const known = await database.row<{ id: string }>('tools/findTool', { name });
    if (known) throw new ApiError(409, 'tool.exists', `There is a tool called ${name} already`, { path: 'name' });
    await database.write('tools/insertTool', { id, kind: 'meter', name, doc: JSON.stringify(card) });
    response.status(201).json({ id, kind: 'meter', name, doc: card });
  });
  router.post('/tools/:id/take-up', async (request, response) => {
    const id = idFrom(request.params.id);
    if ((await database.write('tools/takeUp', { id, at: toSqlTime(now().toISOString()) })) === 0)
      throw new ApiError(404, 'tool.missing', 'No such tool in this shop');
    response.status(204).end();
  });
  return router;
}
