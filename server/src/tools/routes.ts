/** Meters and limiters of the shop: what a bench screen computes with. */
import { Router } from 'express';
import type { Deps } from '../http/Deps';
import { toolsIn } from './repository';

export function toolRoutes({ database }: Deps): Router {
  const router = Router();
  router.get('/tools', async (_request, response) => {
    response.json(await toolsIn(database));
  });
  return router;
}
