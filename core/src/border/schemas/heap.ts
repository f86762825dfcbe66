/** Schema of a heap file; as published: docs/formats/heap.schema.json. */
import Joi from 'joi';
import { cells } from './build';
import { key } from './common';

/** More of one sort no aircraft has. */
const mostOfOne = 16;

export const heapFile = Joi.object({
  format: Joi.string().valid('junctor-heap'),
  version: Joi.number().valid(1),
  name: Joi.string().trim().min(1).max(120),
  parts: Joi.array()
    .items(Joi.object({ model: key, count: Joi.number().integer().min(1).max(mostOfOne) }))
    .min(1)
    .max(40)
    .unique('model'),
  cells: cells.optional(),
});
