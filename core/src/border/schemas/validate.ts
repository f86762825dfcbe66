/** One way to check what crosses a border: the value typed, or every mistake with its path. */
import type Joi from 'joi';
import { strict } from './common';
import { unreadable } from './readable';

export interface Mistake {
  /** Where in the data: `records.0.body.slot`. Empty for the whole. */
  path: string;
  /** Stable code: `any.required`, `string.guid`. */
  code: string;
  message: string;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; mistakes: readonly Mistake[] };

export function check<T>(schema: Joi.Schema, value: unknown): Checked<T> {
  const broken = unreadable(value);
  if (broken) return { ok: false, mistakes: [broken] };
  const { error, value: checked } = schema.validate(value, {
    ...strict,
    errors: { label: 'key', wrap: { label: false } },
  });
  if (!error) return { ok: true, value: checked as T };
  const mistakes = error.details.map(({ path, type, message }) => ({ path: path.join('.'), code: type, message }));
  return { ok: false, mistakes };
}
