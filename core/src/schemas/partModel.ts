/** Schema of a part model: a catalogue file. */
import Joi from 'joi';
import { key, range, tagged, xy } from './common';

const volts = Joi.number().min(-200).max(200);
const ohms = Joi.number().positive();
const amps = Joi.number().min(0);
const port = Joi.string().max(30);
const pin = Joi.string().valid('tx', 'rx', 'sda', 'scl', 'in', 'out', 'plus', 'minus', 'a', 'b', 'c');

const role = tagged('is', {
  ground: {},
  supply: { dir: Joi.string().valid('gives', 'takes'), volts: range },
  port: { port, pin },
  metal: {},
});

const side = Joi.string().valid('top', 'bottom');

const terminal = Joi.object({
  id: Joi.string().pattern(/^\S+$/).max(30), printed: Joi.string().max(30), node: key,
  form: Joi.string().valid('pad', 'hole', 'castellation', 'pin', 'cup', 'lug', 'shell', 'tail', 'metal'),
  sides: Joi.array().items(side).min(1), atMm: xy, sizeMm: xy, drillMm: Joi.number().positive().optional(),
  copper: Joi.string().valid('trace', 'pour', 'plane'), holds: Joi.number().integer().min(0), thickestAwg: Joi.number(),
  withstandV: range, withstandOffV: range, drivesV: volts.optional(), needsHighV: volts.optional(), pull: Joi.string().valid('up', 'down').optional(),
  touch: Joi.string().valid('easy', 'fine', 'no'), contact: Joi.string().valid('bare', 'resin', 'anodised'),
  roles: Joi.array().items(role).min(1),
});

const common = { id: key, fails: Joi.array().items(Joi.string().valid('open', 'short', 'leaky')) };

const element = tagged('is', {
  resistor: { ...common, a: key, b: key, ohms },
  winding: { ...common, a: key, b: key, ohms, henries: Joi.number().positive() },
  capacitor: {
    ...common, plus: key, minus: key, farads: Joi.number().positive(), esrOhms: ohms, leakOhms: ohms,
    ratedV: volts, keepsAtRated: Joi.number().min(0).max(1), polarised: Joi.boolean(),
  },
  diode: { ...common, anode: key, cathode: key, forwardV: volts, atA: Joi.number().positive(), seriesOhms: Joi.number().min(0) },
  switch: { ...common, a: key, b: key, onOhms: ohms, closedWhen: Joi.string().valid('never', 'powered', 'driven', 'unknown') },
  regulator: {
    ...common, kindOf: Joi.string().valid('linear', 'step-down', 'step-up'), input: key, output: key, ground: key, enable: key,
    outV: volts, minInV: volts, limitA: amps, stillAirA: amps, efficiency: Joi.number().min(0).max(1), idleA: amps, offOhms: ohms, backDiodeV: volts.allow(null),
  },
  load: {
    ...common, plus: key, minus: key, offOhms: ohms, idleA: amps, typicalA: amps, peakA: amps,
    constant: Joi.string().valid('current', 'power', 'ohms'), wakesAtV: volts, liveOnUsb: Joi.boolean(),
  },
});

const body = Joi.object({
  outlineMm: Joi.array().items(xy).min(3), aboveMm: Joi.number().min(0), belowMm: Joi.number().min(0),
  holes: Joi.array().items(Joi.object({ atMm: xy, drillMm: Joi.number().positive() })),
  openings: Joi.array().items(Joi.object({
    what: Joi.string().valid('usb', 'button', 'card', 'lens', 'barometer', 'screw'), nodes: Joi.array().items(key), atMm: xy,
    faceDeg: Joi.alternatives(Joi.number(), Joi.string().valid('up', 'down')),
  })),
  arrowDeg: Joi.number().allow(null),
});

const portKind = Joi.string().valid('serial', 'i2c', 'video', 'motorSignal', 'motorPhase', 'lights', 'buzzer', 'sense', 'escData', 'aerial', 'usb');

export const partModel = Joi.object({
  id: key, revision: Joi.number().integer().min(1),
  kind: Joi.string().valid('controller', 'esc', 'motor', 'capacitor', 'battery lead', 'receiver'),
  name: Joi.string().max(120), maker: Joi.string().max(120), massG: Joi.number().positive(), body,
  terminals: Joi.array().items(terminal).min(1),
  connectors: Joi.array().items(Joi.object({
    id: key, family: key, pitchMm: Joi.number().positive(), pins: Joi.array().items(key).min(1), key, exitDeg: Joi.number(), ampsPerPin: amps,
  })),
  tails: Joi.array().items(Joi.object({ terminal: key, awg: Joi.number(), colour: key, insulation: key, lengthMm: Joi.number().positive() })),
  elements: Joi.array().items(element),
  ports: Joi.array().items(Joi.object({
    id: port, kind: portKind, way: Joi.string().valid('gives', 'takes', 'both'), index: Joi.number().integer().optional(), levelV: volts,
    speaks: Joi.array().items(key), inversion: Joi.string().valid('plain', 'inverted', 'either'), halfDuplex: Joi.boolean(),
    excludes: Joi.array().items(port), needs: Joi.array().items(port),
  })),
  signs: Joi.array().items(Joi.object({
    id: key, shows: Joi.string().valid('tone', 'light', 'picture', 'link', 'warmth'), says: Joi.string().max(120),
    channel: Joi.number().integer().optional(), needs: Joi.array().items(key), afterS: Joi.number().min(0),
  })),
  covers: Joi.array().items(Joi.object({ by: Joi.string().valid('mate', 'lid', 'mount'), id: key, hides: Joi.array().items(key) })),
  knownFrom: Joi.object().pattern(Joi.string().allow(''), Joi.string().valid('measured', 'sheet', 'typical', 'assumed')),
});
