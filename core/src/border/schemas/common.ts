/**
 * Shared pieces of the schemas: ids, names, times. Everything is required, nothing is converted, unknown keys are
 * refused.
 */
import Joi from 'joi';

export const strict: Joi.ValidationOptions = {
  presence: 'required',
  convert: false,
  abortEarly: false,
  allowUnknown: false,
};

export const id = Joi.string().guid({ version: 'uuidv7' });
export const name = Joi.string().trim().min(1).max(120);
/**
 * Names that every object answers to by itself: a table that is asked for one of them would find what nobody put there.
 */
const inherited = Object.getOwnPropertyNames(Object.prototype);
export const key = Joi.string()
  .min(1)
  .max(80)
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
  .pattern(new RegExp(`^(?:${inherited.join('|')})\\.`), { name: 'SLOT of its own', invert: true });
export const time = Joi.string().pattern(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, 'UTC time with milliseconds');
export const range = Joi.array().ordered(Joi.number(), Joi.number()).length(2);
export const seconds = Joi.number().min(0).max(86400);
export const wireEndIndex = Joi.number().valid(0, 1);

/** One of several shapes told apart by the value of one key. */
export function tagged(tag: string, shapes: Readonly<Record<string, Joi.SchemaMap>>): Joi.Schema {
  const known = Joi.object({ [tag]: Joi.string().valid(...Object.keys(shapes)) }).unknown();
  return Joi.when(Joi.ref('.', { adjust: (value: unknown) => (value as Record<string, unknown> | null)?.[tag] }), {
    switch: Object.entries(shapes).map(([value, shape]) => ({
      is: Joi.valid(value),
      then: Joi.object({ [tag]: Joi.string().valid(value), ...shape }),
    })),
    otherwise: known,
  });
}
