/** Meters and limiters of the shop: what a bench screen computes with. */
import { Router } from 'express';
import { fromJson } from '../database/Database';
import type { Deps } from '../http/Deps';

export function toolRoutes({ database }: Deps): Router {
  const router = Router();
  router.get('/tools', async (_request, response) => {
    const tools = await database.rows<{ doc: string }>('tools/listTools');
    response.json(tools.map(({ doc, ...tool }) => ({ ...tool, doc: fromJson(doc) })));
  });
  return router;
}
