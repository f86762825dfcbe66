/**
 * Shared pieces of the schemas: ids, names, times. Everything is required, nothing is converted, unknown keys are
 * refused.
 */
import Joi from 'joi';
import type { Range } from '../../facts/terms/names';
import { inherited } from './readable';
import { lookUp } from '../../facts/terms/lookUp';

export const strict: Joi.ValidationOptions = {
  presence: 'required',
  convert: false,
  abortEarly: false,
  allowUnknown: false,
};

export const id = Joi.string().guid({ version: 'uuidv7' });
export const name = Joi.string().trim().min(1).max(120);
export const key = Joi.string()
  .min(1)
  .max(80)
  .pattern(/^[^\u0000-\u001f\u007f]+$/, 'readable')
  .invalid(...inherited);
/** Words for people: no control characters in them. */
export const printable = (most: number) =>
  Joi.string()
    .pattern(/^[^\u0000-\u001f\u007f]+$/, 'readable')
    .max(most);
export const text = Joi.string().allow('').max(2000);
export const terminalRef = Joi.string()
  .max(80)
  .pattern(/^[^.\s]+\..+$/, 'SLOT.TERMINAL')
  .pattern(new RegExp(`^(?:${[...inherited].join('|')})\\.`), { name: 'SLOT of its own', invert: true });
/** A moment that a calendar has, in a year that a device can mean. */
export const time = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, 'UTC time with milliseconds')
  .custom((value: string, helpers) => (isMoment(value) ? value : helpers.error('any.invalid')));
export const date = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/, 'date')
  .custom((value: string, helpers) => (isMoment(`${value}T00:00:00.000Z`) ? value : helpers.error('any.invalid')));

const years: Range = [1970, 2199];

function isMoment(text: string): boolean {
  const at = new Date(text);
  if (Number.isNaN(at.getTime()) || at.toISOString() !== text) return false;
  return at.getUTCFullYear() >= years[0] && at.getUTCFullYear() <= years[1];
}

/** Of revisions and plans: more are never made. */
export const version = Joi.number().integer().min(1).max(1_000_000);

export const range = Joi.array().ordered(Joi.number(), Joi.number()).length(2);
export const seconds = Joi.number().min(0).max(86400);
export const wireEndIndex = Joi.number().valid(0, 1);

/** One of several shapes told apart by the value of one key. */
export function tagged(tag: string, shapes: Readonly<Record<string, Joi.SchemaMap>>): Joi.Schema {
  const known = Joi.object({ [tag]: Joi.string().valid(...Object.keys(shapes)) }).unknown();
  return Joi.when(Joi.ref('.', { adjust: (value: unknown) => lookUp(value as Record<string, unknown> | null, tag) }), {
    switch: Object.entries(shapes).map(([value, shape]) => ({
      is: Joi.valid(value),
      then: Joi.object({ [tag]: Joi.string().valid(value), ...shape }),
    })),
    otherwise: known,
  });
}
