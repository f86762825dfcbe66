/** Schemas of parts in hand and stock. */
import Joi from 'joi';
import { id, key, printable, text, version } from './common';

const words = printable(120).allow(null);
const condition = Joi.string().valid('untested', 'tested', 'doubtful', 'scrap');
const length = Joi.string().valid('none', 'chirp', 'about a second', 'many seconds', 'does not stop');
const grams = Joi.number().min(0).max(100000);

export const newPart = Joi.object({
  id,
  model: key,
  revision: version,
  serial: words,
  batch: words,
  owner: id.allow(null),
  origin: Joi.string().valid('new', 'used'),
  condition,
  firmware: words,
  weightG: grams.allow(null),
});

/** What is found out about a part while it is in the shop. */
export const newPartNote = Joi.object({
  id,
  body: Joi.alternatives(
    Joi.object({ is: Joi.string().valid('condition'), condition, why: text }),
    Joi.object({ is: Joi.string().valid('firmware'), firmware: printable(120) }),
    Joi.object({ is: Joi.string().valid('weight'), grams }),
    Joi.object({
      is: Joi.string().valid('signature'),
      readings: Joi.array()
        .min(1)
        .max(60)
        .items(
          Joi.object({
            black: key,
            red: key,
            mode: Joi.string().valid('tone', 'ohms', 'diode'),
            length: length.allow(null),
            value: Joi.number().allow(null),
            passes: Joi.array().items(length).max(5),
            band: Joi.array().ordered(Joi.number(), Joi.number()).length(2).allow(null),
            verdict: Joi.string().valid('pass', 'stop', 'record only'),
          }),
        ),
    }),
  ),
});

const amount = Joi.number().min(0).max(1e9);
const doc = Joi.object({
  awg: Joi.number().min(4).max(40).optional(),
  colour: key.optional(),
  lengthMm: amount.optional(),
  pitchMm: Joi.number().positive().max(100).optional(),
  ways: Joi.number().integer().min(1).max(60).optional(),
  family: key.optional(),
});

export const newStock = Joi.object({
  id,
  key: printable(120),
  name: printable(160),
  unit: Joi.string().valid('pieces', 'mm', 'g'),
  offcut: Joi.boolean(),
  place: printable(80).allow(''),
  doc,
  onHand: amount,
});

/** Rows of a stock file: what is there is set to what was counted. */
export const sentStock = Joi.object({ rows: Joi.array().items(newStock).min(1).max(5000) });
export const stockMove = Joi.object({ id, delta: Joi.number().min(-1e9).max(1e9), why: printable(160) });
export const wantedModels = Joi.object({
  wanted: Joi.array()
    .max(300)
    .items(Joi.object({ model: key, revision: version })),
});
