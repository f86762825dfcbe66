/** The one place where errors become replies. */
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { errnoOf } from '../database/Database';
import { ApiError } from './ApiError';

const duplicate = 1062;
const missingParent = 1452;

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
  if (type === 'entity.parse.failed')
    return new ApiError(400, 'json.broken', `The request is not JSON: ${(error as Error).message}`);
  if (type === 'entity.too.large')
    return new ApiError(413, 'body.too.large', 'The request is larger than is taken here');
  if (errnoOf(error) === duplicate)
    return new ApiError(409, 'exists.already', 'That exists already', {
      context: { detail: (error as Error).message },
    });
  if (errnoOf(error) === missingParent)
    return new ApiError(422, 'refers.to.nothing', 'It names something that does not exist');
  if (status && status < 500) return new ApiError(status, 'request.refused', (error as Error).message);
  return new ApiError(500, 'server.failed', 'The server could not do that. Nothing was stored.');
}
