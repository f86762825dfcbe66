/** What may come through the doors at all: changes only from our own pages and programs, and only as JSON. */
import type { RequestHandler } from 'express';
import { ApiError } from './ApiError';

const reads: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses a change that another site's page would make with the visitor's cookie. A browser says where a request comes
 * from; a program that says nothing has no cookie of somebody else.
 */
export const ownPagesOnly: RequestHandler = (request, _response, next) => {
  const site = request.headers['sec-fetch-site'];
  const { origin, host } = request.headers;
  const foreignSite = site !== undefined && site !== 'same-origin' && site !== 'none';
  const foreignOrigin = origin !== undefined && hostOf(origin) !== host;
  if (!reads.has(request.method) && (foreignSite || foreignOrigin))
    throw new ApiError(403, 'origin.foreign', 'This comes from another site: open the shop’s own page');
  next();
};

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}

/** What a form of another site could send is no JSON. Pictures and files of models have types of their own. */
export const jsonOnly: RequestHandler = (request, _response, next) => {
  const type = request.headers['content-type'];
  const isForm = type !== undefined && /^\s*(text\/|application\/x-www-form-urlencoded|multipart\/)/i.test(type);
  if (request.method === 'POST' && isForm) throw new ApiError(415, 'body.kind', 'The request wants to be JSON');
  next();
};
