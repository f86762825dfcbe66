/** People of the shop: a lead adds and retires them, sets a password that was forgotten, ends what is signed in. */
import { newPerson, setPassword } from '@junctor/core/schemas';
import { Router } from 'express';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom, validated } from '../http/validated';
import { hashSecret, personIn, requireLead } from '../session/session';

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
    const known = await database.row<{ id: string; leftAt: string | null }>('people/findAnybody', { name });
    if (known && known.leftAt === null)
      throw new ApiError(409, 'person.exists', `${name} works here already`, { path: 'name' });
    const secretHash = await hashSecret(password);
    // Somebody who was here before is the same person: what they recorded stays theirs.
    if (known) await database.write('people/reinstatePerson', { id: known.id, role, secretHash });
    else await database.write('people/insertPerson', { id, name, role, secretHash });
    response.status(201).json({ id: known?.id ?? id, name, role });
  });
  router.post('/people/:id/password', async (request, response) => {
    requireLead(response);
    const id = idFrom(request.params.id);
    const { password } = validated<{ password: string }>(setPassword, request.body);
    const secretHash = await hashSecret(password);
    await database.transaction(async (queries) => {
      if ((await queries.write('people/setSecret', { id, secretHash })) === 0)
        throw new ApiError(404, 'person.missing', 'Nobody of this shop');
      await queries.write('session/deletePersonSessions', { personId: id });
    });
    response.status(204).end();
  });
  router.post('/people/:id/sign-out', async (request, response) => {
    const id = idFrom(request.params.id);
    if (personIn(response).personId !== id) requireLead(response);
    await database.write('session/deletePersonSessions', { personId: id });
    response.status(204).end();
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
