/** Templates: found, read, retired. One is kept from the plan of a job. */
import { retiredTemplate } from '@junctor/core/schemas';
import { Router } from 'express';
import { ApiError } from '../http/ApiError';
import type { Deps, Template } from '../http/Deps';
import { validated } from '../http/validated';
import { personIn, requireLead } from '../session/session';
import { retire } from '../shop/retired';
import { findTemplate, listTemplates } from './repository';

export function templateRoutes(deps: Deps): Router {
  const { database, now } = deps;
  const router = Router();
  router.get('/templates', async (_request, response) => {
    response.json(await listTemplates(database, deps));
  });
  router.get('/templates/:id', async (request, response) => {
    response.json(await known(request.params.id));
  });
  router.post('/templates/retire', async (request, response) => {
    requireLead(response);
    const { id, retired } = validated<{ id: string; retired: boolean }>(retiredTemplate, request.body);
    await known(id);
    const by = { personId: personIn(response).personId, at: now() };
    await retire(database, 'retired templates', { id, retired }, by);
    response.status(204).end();
  });
  return router;

  async function known(id: string): Promise<Template> {
    const found = await findTemplate(database, deps, id);
    if (!found) throw new ApiError(404, 'template.unknown', 'No such template plan');
    return found;
  }
}
