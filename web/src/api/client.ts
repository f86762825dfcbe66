/** Requests to the server. A refusal carries the server's code, line, path and context. */
import type { Refusal } from '@junctor/core';
import { tellServerClock } from './serverClock';

export class ApiError extends Error {
  override name = 'ApiError';

  constructor(
    readonly status: number,
    readonly refusal: Refusal,
  ) {
    super(refusal.message);
  }
}

/** The network or the server is away: the request may be sent again. */
export class OfflineError extends Error {
  override name = 'OfflineError';
}

/** The server is there and cannot do it now: too much asked, not ready, or broken on it. */
export class NotNowError extends OfflineError {
  override name = 'NotNowError';
  constructor(
    readonly status: number,
    message: string,
    /** When it may be asked again, as the server has said. */
    readonly afterMs: number | null,
  ) {
    super(message);
  }
}

let epochHeard: (epoch: string) => void = () => undefined;

/** Every answer says which epoch of the shop it is of. */
export function whenEpoch(listener: (epoch: string) => void): void {
  epochHeard = listener;
}

/** A request that is not answered by then may be sent again. */
const patienceMs = 15_000;

/** @throws {ApiError} When the server refuses. @throws {OfflineError} When there is no answer, or not now. */
export async function request<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(patienceMs),
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new OfflineError('no answer from the server');
  }
  tellServerClock(response.headers.get('date'));
  const epoch = response.headers.get('junctor-epoch');
  if (epoch) epochHeard(epoch);
  if (response.status === 204) return undefined as T;
  const text = await response.text();
  const json = parse(text);
  if (response.ok && json !== undefined) return json as T;
  if (response.status >= 500 || response.status === 429 || json === undefined)
    throw new NotNowError(response.status, notNowWords(response.status), retryAfterMs(response));
  throw new ApiError(response.status, json as Refusal);
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

function notNowWords(status: number): string {
  if (status === 429) return 'the server asks to wait';
  return status === 500 ? 'the server failed on it' : 'the server is not ready';
}

function retryAfterMs({ headers }: Response): number | null {
  const seconds = Number(headers.get('retry-after') ?? NaN);
  return Number.isFinite(seconds) && seconds > 0 ? seconds * 1000 : null;
}
