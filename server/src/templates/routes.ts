/** Templates: found, read, retired. One is kept from the plan of a job. */
import { retiredTemplate } from '@junctor/core/schemas';
import { Router } from 'express';
import { ApiError } from '../http/ApiError';
import type { Deps, Template } from '../http/Deps';
import { validated } from '../http/validated';
import { personIn, requireLead } from '../session/session';
import { saySetting, settingOf } from '../shop/shop';
import { findTemplate, listTemplates, retiredSetting, retiredTemplates } from './repository';

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
    const list = await retiredTemplates(database);
    if (retired) list.add(id);
    else list.delete(id);
    const version = ((await settingOf(database, retiredSetting))?.version ?? 0) + 1;
    const by = { personId: personIn(response).personId, at: now() };
    await saySetting(database, retiredSetting, { version, value: [...list] }, by);
    response.status(204).end();
  });
  return router;

  async function known(id: string): Promise<Template> {
    const found = await findTemplate(database, deps, id);
    if (!found) throw new ApiError(404, 'template.unknown', 'No such template plan');
    return found;
  }
}
