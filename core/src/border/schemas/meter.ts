/** Schema of a meter's card as a lead enters it. */
import Joi from 'joi';
import { id, printable } from './common';

const volts = Joi.number().greater(0).max(20);
const amps = Joi.number().greater(0).max(0.1);
const ohms = Joi.number().greater(0);

const source = {
  limitV: volts.required(),
  limitA: amps.required(),
  seriesOhms: ohms.max(1e6).allow(null).required(),
  countsTo: Joi.number().greater(0).max(1e9).optional(),
};

const card = Joi.object({
  ...source,
  beepBelowOhms: ohms.max(1000),
  stopsAboveOhms: ohms
    .max(2000)
    .min(Joi.ref('beepBelowOhms'))
    .messages({ 'number.min': 'it sounds below this: it cannot stop before' }),
  answerMs: Joi.number().min(0).max(2000),
  shortestToneMs: Joi.number().min(0).max(2000),
  beepsOnReverse: Joi.boolean(),
  toneHz: Joi.number().min(20).max(20000).allow(null),
  spread: Joi.number().min(0.01).max(0.8),
  modes: Joi.object({ ohms: Joi.object(source).optional(), diode: Joi.object(source).optional() }).optional(),
});

export const newMeter = Joi.object({ id, name: printable(80).min(1), card });
