/** The body of a request, checked, or a refusal that names the first mistake and carries all. */
import { check } from '@junctor/core/schemas';
import type { Schema } from 'joi';
import { ApiError } from './ApiError';

export function validated<T>(schema: Schema, body: unknown): T {
  const checked = check<T>(schema, body);
  if (checked.ok) return checked.value;
  const [first] = checked.mistakes;
  throw new ApiError(422, `invalid.${first!.code}`, first!.message, {
    path: first!.path,
    context: { mistakes: checked.mistakes },
  });
}

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** An id from the address. @throws {ApiError} 404 when it cannot be one. */
export function idFrom(value: unknown): string {
  if (typeof value !== 'string' || !uuid.test(value))
    throw new ApiError(404, 'not.found', 'There is no such thing here');
  return value;
}
