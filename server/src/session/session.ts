/** Who is at the tablet: a cookie with a random token, its hash in the database. */
import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { parseCookie } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import type { Queries } from '../database/Database';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';

export interface Person {
  personId: string;
  deviceId: string;
  name: string;
  role: 'technician' | 'lead';
}

/** A working day and an evening: whoever comes in the next morning signs in. */
const lastsMs = 16 * 3600 * 1000;

/** Memory-hard: argon2id, 19 MiB, two passes. */
export function hashSecret(secret: string): Promise<string> {
  return hash(secret, { memoryCost: 19456, timeCost: 2, parallelism: 1 });
}

export function verifySecret(secretHash: string, secret: string): Promise<boolean> {
  return verify(secretHash, secret);
}

/**
 * Makes a session and sets its cookie. Returns the person's hand: with it their records may arrive after somebody else
 * has signed in on the device, or they have left the shop.
 */
export async function openSession(
  queries: Queries,
  response: Response,
  { personId, device, now }: { personId: string; device: { id: string; label: string }; now: Date },
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const hand = randomBytes(32).toString('base64url');
  await queries.write('session/deleteExpired', { now: toSqlTime(now.toISOString()) });
  await queries.write('session/insertDevice', { id: device.id, label: device.label });
  const expiresAt = toSqlTime(new Date(now.getTime() + lastsMs).toISOString());
  await queries.write('session/insertSession', {
    tokenHash: hashToken(token),
    personId,
    deviceId: device.id,
    expiresAt,
  });
  await queries.write('session/insertHand', {
    tokenHash: hashToken(hand),
    personId,
    deviceId: device.id,
    givenAt: toSqlTime(now.toISOString()),
  });
  response.cookie(cookieName(response.req), token, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: lastsMs,
  });
  return hand;
}

export async function closeSession(queries: Queries, request: Request, response: Response): Promise<void> {
  const token = tokenOf(request);
  if (token) await queries.write('session/deleteSession', { tokenHash: hashToken(token) });
  response.clearCookie(cookieName(request), { path: '/' });
}

/** Ends every other session of whoever asks: their password is another one now. */
export async function closeOtherSessions(queries: Queries, request: Request, personId: string): Promise<void> {
  const token = tokenOf(request);
  if (token) await queries.write('session/deleteOtherSessions', { personId, tokenHash: hashToken(token) });
}

/** Whoever is signed in, or null. */
export async function personOf(queries: Queries, request: Request, now: Date): Promise<Person | null> {
  const token = tokenOf(request);
  if (!token) return null;
  return queries.row<Person>('session/findSession', { tokenHash: hashToken(token), now: toSqlTime(now.toISOString()) });
}

/** Whose hand it is, also after they have left; null for one that nobody was given. */
export async function holderOf(
  queries: Queries,
  hand: string,
): Promise<Pick<Person, 'personId' | 'deviceId' | 'role'> | null> {
  return queries.row('session/findHand', { tokenHash: hashToken(hand) });
}

/** Lets only signed-in people through; the person stands in `response.locals.person`. */
export function requirePerson({ database, now }: Deps): RequestHandler {
  return async (request, response, next) => {
    const person = await personOf(database, request, now());
    if (!person) throw new ApiError(401, 'sign.in', 'Sign in first');
    response.locals.person = person;
    next();
  };
}

export function personIn(response: Response): Person {
  return response.locals.person as Person;
}

/** @throws {ApiError} 403 unless the person is a lead. */
export function requireLead(response: Response): void {
  if (personIn(response).role !== 'lead') throw new ApiError(403, 'lead.only', 'Only a lead can do that');
}

/** Cookies know no ports: shops on one host have a name each, so that none signs the other out. */
function cookieName({ socket }: Request): string {
  return `junctor_session_${socket.localPort}`;
}

function tokenOf(request: Request): string | null {
  return parseCookie(request.headers.cookie ?? '')[cookieName(request)] ?? null;
}

function hashToken(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}
