/** The one place where errors become replies. */
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { errnoOf } from '../database/Database';
import { ApiError } from './ApiError';

const duplicate = 1062;
const missingParent = 1452;
/** Out of range, no moment, characters, too long, no number, a check of the table, broken JSON. */
const unfit: ReadonlySet<number> = new Set([1264, 1292, 1366, 1406, 1265, 3140, 4025, 4078]);
/** A lock that was waited for too long, a deadlock that came again, a statement beyond its time. */
const busy: ReadonlySet<number> = new Set([1205, 1213, 1969, 3024]);

function fromDatabase(errno: number | null): ApiError | null {
  if (errno === null) return null;
  if (errno === duplicate) return new ApiError(409, 'exists.already', 'That exists already');
  if (errno === missingParent) return new ApiError(422, 'refers.to.nothing', 'It names something that does not exist');
  if (unfit.has(errno)) return new ApiError(422, 'value.unfit', 'A value in it is beyond what can be stored');
  if (busy.has(errno)) return new ApiError(503, 'server.busy', 'The server is busy. Nothing was stored: try again.');
  return null;
}

export function errorReplies(log: Logger): ErrorRequestHandler {
  return (error, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const api = asApiError(error);
    if (api.status >= 500) log.error({ err: error as unknown }, 'request failed');
    response.status(api.status).json(api.body());
  };
}

function asApiError(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.parse.failed') return new ApiError(400, 'json.broken', 'The request is not JSON');
  if (type === 'entity.too.large')
    return new ApiError(413, 'body.too.large', 'The request is larger than is taken here');
  // What the database says is for the log: no answer carries its words.
  const known = fromDatabase(errnoOf(error));
  if (known) return known;
  if (status && status < 500) return new ApiError(status, 'request.refused', 'The request cannot be read');
  return new ApiError(500, 'server.failed', 'The server could not do that. Nothing was stored.');
}
