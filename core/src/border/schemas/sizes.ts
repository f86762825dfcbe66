/** Lengths and places in mm, as part models give them. */
import Joi from 'joi';

export const mm = Joi.number().min(-3000).max(3000);
export const size = Joi.number().min(0).max(3000);
export const xy = Joi.array().ordered(mm, mm).length(2);
export const xyz = Joi.array().ordered(mm, mm, mm).length(3);
export const thread = Joi.string().pattern(/^M\d(\.\d)?$/, 'thread');
