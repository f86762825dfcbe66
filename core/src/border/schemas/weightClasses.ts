/** Schema of the shop's weight classes, in rising order. */
import Joi from 'joi';
import { printable } from './common';

export const weightClasses = Joi.object({
  version: Joi.number().integer().min(0).required(),
  classes: Joi.array()
    .max(20)
    .items(
      Joi.object({
        name: printable(60).min(1).required(),
        upToG: Joi.number().positive().max(1e6).required(),
      }),
    )
    .unique('name')
    .unique('upToG')
    .required(),
});
