import { ApiError } from '../http/ApiError';

/** A client's ISO time as sent. @throws {ApiError} 422 when it is none. */
export function inTime(value: string): string {
  const time = new Date(value);
  if (Number.isNaN(time.getTime())) throw new ApiError(422, 'time.wrong', 'Not a time', { path: 'doneAt' });
  return time.toISOString();
}
