/** People of the shop: a lead adds and retires them. */
import { newPerson } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { hashSecret, requireLead } from '../session/session';

export function peopleRoutes({ database, now }: Deps): Router {
  const router = Router();
  router.get('/people', async (_request, response) => {
    response.json(await database.rows('people/listPeople'));
  });
  router.post('/people', async (request, response) => {
    requireLead(response);
    const { id, name, role, password } = validated<{ id: string; name: string; role: string; password: string }>(
      newPerson,
      request.body,
    );
    if (await database.row('people/findPersonByName', { name })) {
      throw new ApiError(409, 'person.exists', `${name} works here already`, { path: 'name' });
    }
    await database.write('people/insertPerson', { id, name, role, secretHash: await hashSecret(password) });
    response.status(201).json({ id, name, role });
  });
  router.post('/people/:id/retire', async (request, response) => {
    requireLead(response);
    const id = idFrom(request.params.id);
    await database.transaction(async (queries) => {
      const leads = await queries.rows<{ id: string }>('people/listLeads');
      if (leads.length === 1 && leads[0]!.id === id)
        throw new ApiError(409, 'person.last.lead', 'The last lead cannot leave: make another lead first');
      await queries.write('people/retirePerson', { id, at: toSqlTime(now().toISOString()) });
      await queries.write('session/deletePersonSessions', { personId: id });
    });
    response.status(204).end();
  });
  return router;
}
