/** Sign in, sign out, who am I; and the first lead of an empty shop. */
import { firstLead, newPassword, signIn } from '@junctor/core/schemas';
import type { RequestHandler } from 'express';
import { Router } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { validated } from '../http/validated';
import { hasPeople, saySetting, shopName } from '../shop/shop';
import {
  closeOtherSessions,
  closeSession,
  hashSecret,
  openSession,
  personIn,
  personOf,
  requirePerson,
  verifySecret,
} from './session';

interface Device {
  id: string;
  label: string;
}

export function sessionRoutes(deps: Deps): Router {
  const limited = rateLimit({
    windowMs: 15 * 60 * 1000,
    limit: deps.signInTries,
    // One who mistypes locks out nobody else, also not at the same tablet.
    keyGenerator: ({ ip, body }, { locals }) =>
      `${ipKeyGenerator(ip ?? '')} ${locals.person?.personId ?? nameIn(body)}`,
    skipSuccessfulRequests: true,
    standardHeaders: true,
    legacyHeaders: false,
    handler: () => {
      throw new ApiError(429, 'too.many.tries', 'Too many tries. Wait a quarter of an hour.');
    },
  });
  return Router()
    .get('/shop', shopState(deps))
    .post('/shop/first-lead', limited, makeFirstLead(deps))
    .get('/session', whoAmI(deps))
    .post('/session', limited, startSession(deps))
    .post('/session/password', requirePerson(deps), limited, changePassword(deps))
    .delete('/session', endSession(deps));
}

function nameIn(body: unknown): string {
  const name = (body as { name?: unknown } | undefined)?.name;
  return typeof name === 'string' ? name.trim().toLowerCase().slice(0, 120) : '';
}

function shopState({ database }: Deps): RequestHandler {
  return async (_request, response) => {
    response.json({ name: await shopName(database), empty: !(await hasPeople(database)) });
  };
}

function makeFirstLead({ database, now }: Deps): RequestHandler {
  return async (request, response) => {
    const { shop, id, name, password, device } = validated<{
      shop: string;
      id: string;
      name: string;
      password: string;
      device: Device;
    }>(firstLead, request.body);
    const secretHash = await hashSecret(password);
    const hand = await database.transaction(async (queries) => {
      if (await hasPeople(queries)) throw new ApiError(409, 'shop.has.people', 'This shop has a lead already: sign in');
      await queries.write('people/insertPerson', { id, name, role: 'lead', secretHash });
      await saySetting(queries, 'shop name', { version: 1, value: shop }, { personId: id, at: now() });
      return openSession(queries, response, { personId: id, device, now: now() });
    });
    response.status(201).json({ personId: id, deviceId: device.id, name, role: 'lead', hand });
  };
}

function whoAmI({ database, now }: Deps): RequestHandler {
  return async (request, response) => {
    response.json(await personOf(database, request, now()));
  };
}

function startSession({ database, now }: Deps): RequestHandler {
  return async (request, response) => {
    const { name, password, device } = validated<{ name: string; password: string; device: Device }>(
      signIn,
      request.body,
    );
    const person = await database.row<{ id: string; name: string; role: string; secretHash: string }>(
      'people/findPersonByName',
      { name },
    );
    // The same work for an unknown name, so that time does not tell who works here.
    const matches = await verifySecret(person?.secretHash ?? (await nobody), password);
    if (!person || !matches)
      throw new ApiError(401, 'sign.in.wrong', 'Name and password do not match', { path: 'password' });
    const hand = await openSession(database, response, { personId: person.id, device, now: now() });
    response.json({ personId: person.id, deviceId: device.id, name: person.name, role: person.role, hand });
  };
}

/** Whoever is signed in, by the old one; other tablets sign in anew. */
function changePassword({ database }: Deps): RequestHandler {
  return async (request, response) => {
    const { old, password } = validated<{ old: string; password: string }>(newPassword, request.body);
    const { personId: id } = personIn(response);
    const known = await database.row<{ secretHash: string }>('people/findSecret', { id });
    if (!known || !(await verifySecret(known.secretHash, old)))
      throw new ApiError(422, 'password.wrong', 'That is not your password now', { path: 'old' });
    const secretHash = await hashSecret(password);
    await database.transaction(async (queries) => {
      await queries.write('people/setSecret', { id, secretHash });
      await closeOtherSessions(queries, request, id);
    });
    response.status(204).end();
  };
}

const nobody = hashSecret('nobody signs in with this');

function endSession({ database }: Deps): RequestHandler {
  return async (request, response) => {
    await closeSession(database, request, response);
    response.status(204).end();
  };
}
