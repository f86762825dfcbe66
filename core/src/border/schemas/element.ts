/** Schema of the elements inside a part, and the units they are given in. */
import Joi from 'joi';
import { key, tagged } from './common';

export const volts = Joi.number().min(-200).max(200);
export const amps = Joi.number().min(0).max(1000);
const ohms = Joi.number().positive().max(1e12);

const common = {
  id: key,
  fails: Joi.array().items(Joi.string().valid('open', 'short', 'leaky')),
  tolerance: Joi.number().positive().max(1).optional(),
};

export const element = tagged('is', {
  resistor: { ...common, a: key, b: key, ohms },
  winding: { ...common, a: key, b: key, ohms, henries: Joi.number().positive().max(10) },
  capacitor: {
    ...common,
    plus: key,
    minus: key,
    farads: Joi.number().positive().max(10),
    esrOhms: ohms,
    leakOhms: ohms,
    ratedV: volts,
    keepsAtRated: Joi.number().min(0).max(1),
    polarised: Joi.boolean(),
  },
  diode: {
    ...common,
    anode: key,
    cathode: key,
    forwardV: volts,
    atA: Joi.number().positive(),
    seriesOhms: Joi.number().min(0),
  },
  switch: {
    ...common,
    a: key,
    b: key,
    onOhms: ohms,
    closedWhen: Joi.string().valid('never', 'powered', 'driven', 'unknown'),
  },
  regulator: {
    ...common,
    kindOf: Joi.string().valid('linear', 'step-down', 'step-up'),
    input: key,
    output: key,
    ground: key,
    enable: key,
    outV: volts,
    minInV: volts,
    limitA: amps,
    stillAirA: amps,
    packageW: Joi.number().positive().max(1000).optional(),
    efficiency: Joi.number().min(0).max(1),
    idleA: amps,
    offOhms: ohms,
    backDiodeV: volts.allow(null),
  },
  load: {
    ...common,
    plus: key,
    minus: key,
    offOhms: ohms,
    idleA: amps,
    typicalA: amps,
    peakA: amps,
    constant: Joi.string().valid('current', 'power', 'ohms'),
    wakesAtV: volts,
    liveOnUsb: Joi.boolean(),
  },
});
