/** Schemas of people, sign-in, customers, quads, jobs. */
import Joi from 'joi';
import { buildFile, planChange } from './build';
import { id, key, name, text } from './common';

const password = Joi.string().min(8).max(200);
const device = Joi.object({ id, label: Joi.string().trim().min(1).max(80) });

export const firstLead = Joi.object({ shop: name, id, name, password, device });
export const signIn = Joi.object({ name, password: Joi.string().max(200), device });
export const newPerson = Joi.object({ id, name, role: Joi.string().valid('technician', 'lead'), password });

export const newCustomer = Joi.object({ id, name, contact: text });
export const newQuad = Joi.object({ id, customerId: id, name });
const date = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/, 'date')
  .allow(null);

const intake = Joi.object({
  wants: text,
  valueMinor: Joi.number().integer().min(0).max(1e12),
  pack: key.allow(null),
  propeller: key.allow(null),
  extras: Joi.array().items(key).max(20),
});

export const newJob = Joi.object({
  id,
  quadId: id,
  kind: Joi.string().valid('new', 'conversion', 'repair', 'refit'),
  title: name,
  dueOn: date,
  bench: Joi.number().integer().min(1).max(99),
  intake,
  plan: Joi.alternatives().conditional(Joi.object({ template: Joi.exist() }).unknown(), {
    then: Joi.object({ template: key }),
    otherwise: Joi.alternatives().conditional(Joi.object({ book: Joi.exist() }).unknown(), {
      then: Joi.object({ book: Joi.boolean().valid(true) }),
      otherwise: Joi.object({ file: buildFile }),
    }),
  }),
});

export const sentPlanChanges = Joi.object({
  version: Joi.number().integer().min(1),
  changes: Joi.array().items(planChange).min(1).max(100),
});
export const permitRequest = Joi.object({
  id,
  jobId: id,
  deviceId: id,
  doneAt: Joi.string().max(30),
  gate: Joi.string().valid('first power'),
});
