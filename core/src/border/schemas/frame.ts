/** A frame's plates, places, openings and ways for wires. */
import Joi from 'joi';
import { openingPasses, placeKinds } from '../../facts/catalogue/frame';
import { partKinds } from '../../facts/catalogue/partModel';
import { key, range } from './common';
import { mm, size, thread, xy, xyz } from './sizes';

const outlineMm = Joi.array().items(xy).min(3).max(400);

const plate = Joi.object({
  id: key,
  zMm: mm,
  thicknessMm: Joi.number().positive().max(50),
  outlineMm,
  contact: Joi.string().valid('resin', 'bare edge'),
});

const place = Joi.object({
  id: key,
  kind: Joi.string().valid(...placeKinds),
  madeFor: Joi.array()
    .items(Joi.string().valid(...partKinds))
    .min(1)
    .max(20)
    .optional(),
  atMm: xyz,
  roomMm: xyz,
  holes: Joi.object({ patternMm: xy, thread }).allow(null),
  turns: Joi.array().items(Joi.number().min(0).less(360)).min(1).max(72),
  faces: Joi.array().items(Joi.string().valid('up', 'down')).min(1).max(2),
  airflow: Joi.string().valid('free', 'some', 'none'),
  entry: key,
});

const opening = Joi.object({
  id: key,
  passes: Joi.string().valid(...openingPasses),
  atMm: xyz,
  sizeMm: Joi.array().ordered(size, size).length(2),
  facing: xyz,
});

export const frame = Joi.object({
  corners: Joi.array()
    .items(
      Joi.object({
        index: Joi.number().integer().min(1).max(12),
        atMm: xy,
        level: Joi.string().valid('upper', 'lower'),
        discMm: size,
      }),
    )
    .min(1)
    .max(12),
  bays: Joi.array()
    .items(Joi.object({ id: key, atMm: xyz, sizeMm: xyz, hole: Joi.string().max(30).allow('') }))
    .max(20),
  posts: Joi.array()
    .items(Joi.object({ atMm: xy, lengthMm: size, thread }))
    .max(40),
  route: Joi.object({
    points: Joi.object().pattern(key, xyz).max(100),
    edges: Joi.array().items(Joi.array().ordered(key, key).length(2)).max(300),
  }),
  conducts: Joi.boolean(),
  plates: Joi.array().items(plate).max(20).optional(),
  places: Joi.array().items(place).max(60).optional(),
  ways: Joi.array().items(opening).max(60).optional(),
  lid: Joi.object({ plate: key, settlesMm: range }).optional(),
  pack: Joi.string().valid('on top', 'underneath').optional(),
});
