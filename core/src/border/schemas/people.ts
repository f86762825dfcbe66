/** Schemas of people, sign-in, customers, quads, jobs. */
import Joi from 'joi';
import { buildFile, planChange } from './build';
import { date, id, key, name, text, time, version } from './common';

const password = Joi.string().min(8).max(200);
const device = Joi.object({ id, label: Joi.string().trim().min(1).max(80) });

export const firstLead = Joi.object({ shop: name, id, name, password, device });
export const signIn = Joi.object({ name, password: Joi.string().max(200), device });
export const newPerson = Joi.object({ id, name, role: Joi.string().valid('technician', 'lead'), password });

/** A lead sets another's password. */
export const setPassword = Joi.object({ password });
export const newPassword = Joi.object({ old: Joi.string().max(200), password });

export const newCustomer = Joi.object({ id, name, contact: text });
export const newQuad = Joi.object({ id, customerId: id, name });

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
  dueOn: date.allow(null),
  bench: Joi.number().integer().min(1).max(99),
  intake,
  plan: Joi.alternatives().conditional(Joi.object({ template: Joi.exist() }).unknown(), {
    then: Joi.object({ template: key }),
    otherwise: Joi.alternatives().conditional(Joi.object({ book: Joi.exist() }).unknown(), {
      then: Joi.object({ book: Joi.boolean().valid(true) }),
      otherwise: Joi.alternatives().conditional(Joi.object({ parts: Joi.exist() }).unknown(), {
        then: Joi.object({ parts: Joi.boolean().valid(true) }),
        otherwise: Joi.alternatives().conditional(Joi.object({ pattern: Joi.exist() }).unknown(), {
          then: Joi.object({ pattern: id }),
          otherwise: Joi.object({ file: buildFile }),
        }),
      }),
    }),
  }),
});

export const newTemplate = Joi.object({ id, name });
export const retiredTemplate = Joi.object({ id: key, retired: Joi.boolean() });

/** As many as an aircraft with eight motors and everything on it takes, wired at once. */
const mostChanges = 600;

export const sentPlanChanges = Joi.object({
  version,
  changes: Joi.array().items(planChange).min(1).max(mostChanges),
});
export const permitRequest = Joi.object({
  id,
  jobId: id,
  deviceId: id,
  doneAt: time,
  gate: Joi.string().valid('first power'),
});
