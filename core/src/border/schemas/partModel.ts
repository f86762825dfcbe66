/** Schema of a part model: a catalogue file. */
import Joi from 'joi';
import { partKinds } from '../../facts/catalogue/partModel';
import { key, printable, tagged, version } from './common';
import { amps, element, volts } from './element';
import { frame } from './frame';
import { size, thread, xy, xyz } from './sizes';

const range = Joi.array().ordered(volts, volts).length(2);
const awg = Joi.number().min(0).max(50);
const seconds = Joi.number().min(0).max(3600);
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
  id: Joi.string()
    .pattern(/^[^\s~:#]+$/, 'terminal id')
    .max(30),
  printed: printable(30).allow(''),
  node: key,
  form: Joi.string().valid('pad', 'hole', 'castellation', 'pin', 'cup', 'lug', 'shell', 'tail', 'metal'),
  sides: Joi.array().items(side).min(1),
  atMm: xy,
  sizeMm: Joi.array().ordered(size, size).length(2),
  drillMm: Joi.number().positive().max(50).optional(),
  copper: Joi.string().valid('trace', 'pour', 'plane'),
  holds: Joi.number().integer().min(0).max(20),
  thickestAwg: awg,
  withstandV: range,
  withstandOffV: range,
  drivesV: volts.optional(),
  needsHighV: volts.optional(),
  pull: Joi.string().valid('up', 'down').optional(),
  touch: Joi.string().valid('easy', 'fine', 'no'),
  contact: Joi.string().valid('bare', 'resin', 'anodised'),
  roles: Joi.array().items(role).max(8),
});

const body = Joi.object({
  outlineMm: Joi.array().items(xy).min(3).max(400),
  aboveMm: size,
  belowMm: size,
  holes: Joi.array()
    .items(Joi.object({ atMm: xy, drillMm: Joi.number().positive().max(50) }))
    .max(100),
  heightsMm: Joi.array()
    .items(
      Joi.object({
        side,
        atMm: xy,
        sizeMm: xy,
        mm: Joi.number().positive().max(200),
        what: Joi.string().valid('parts', 'usb', 'button', 'socket', 'ceramics', 'coil', 'shield'),
      }),
    )
    .max(60)
    .optional(),
  boxMm: xyz.optional(),
  tolMm: Joi.number().min(0).max(20).optional(),
  bare: Joi.array()
    .items(Joi.object({ side, areaMm: Joi.array().items(xy).min(3).max(100) }))
    .max(50)
    .optional(),
  mount: Joi.object({ heightMm: size, squeezedMm: size, thread, lengthMm: size }).optional(),
  openings: Joi.array()
    .max(30)
    .items(
      Joi.object({
        what: Joi.string().valid('usb', 'button', 'card', 'switch', 'header', 'aerial', 'lens', 'barometer', 'screw'),
        nodes: Joi.array().items(key),
        atMm: xy,
        faceDeg: Joi.alternatives(Joi.number(), Joi.string().valid('up', 'down')),
      }),
    ),
  arrowDeg: Joi.number().min(-360).max(360).allow(null),
});

const megahertz = Joi.number().positive().max(100000);

const portKind = Joi.string().valid(
  'serial',
  'i2c',
  'video',
  'motorSignal',
  'motorPhase',
  'lights',
  'buzzer',
  'sense',
  'strength',
  'escData',
  'aerial',
  'usb',
);

const certainty = Joi.string().valid('measured', 'sheet', 'typical', 'assumed');

export const partModel = Joi.object({
  id: Joi.string()
    .pattern(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'small letters, digits and hyphens')
    .max(60),
  revision: version.max(9999),
  kind: Joi.string().valid(...partKinds),
  name: printable(120),
  maker: printable(120),
  massG: Joi.number().positive().max(20000),
  body,
  terminals: Joi.array().items(terminal).max(400),
  connectors: Joi.array()
    .max(40)
    .items(
      Joi.object({
        id: key,
        family: key,
        pitchMm: Joi.number().positive().max(100),
        pins: Joi.array().items(key).min(1).max(60),
        key,
        exitDeg: Joi.number(),
        roomMm: Joi.number().positive().max(100).optional(),
        ampsPerPin: amps,
        pulledInService: Joi.boolean().valid(true).optional(),
      }),
    ),
  tails: Joi.array()
    .max(60)
    .items(
      Joi.object({
        terminal: key,
        awg,
        colour: key,
        insulation: key,
        lengthMm: Joi.number().positive().max(3000),
        exitDeg: Joi.number().optional(),
        housing: Joi.object({ connector: key, position: Joi.number().integer().min(1).max(60) }).optional(),
      }),
    ),
  elements: Joi.array().items(element).max(2000),
  ports: Joi.array()
    .max(100)
    .items(
      Joi.object({
        id: port,
        kind: portKind,
        way: Joi.string().valid('gives', 'takes', 'both'),
        index: Joi.number().integer().optional(),
        levelV: volts,
        speaks: Joi.array().items(key).max(20),
        inversion: Joi.string().valid('plain', 'inverted', 'either'),
        halfDuplex: Joi.boolean(),
        excludes: Joi.array().items(port).max(20),
        needs: Joi.array().items(port).max(20),
        radio: Joi.object({
          bandMHz: Joi.array().ordered(megahertz, megahertz).length(2),
          polarisation: Joi.string().valid('linear', 'left', 'right').optional(),
        }).optional(),
      }),
    ),
  signs: Joi.array()
    .max(40)
    .items(
      Joi.object({
        id: key,
        shows: Joi.string().valid('tone', 'light', 'picture', 'link', 'warmth'),
        says: printable(120),
        channel: Joi.number().integer().optional(),
        needs: Joi.array().items(key).max(40),
        afterS: seconds,
      }),
    ),
  covers: Joi.array()
    .max(40)
    .items(
      Joi.object({ by: Joi.string().valid('mate', 'lid', 'mount'), id: key, hides: Joi.array().items(key).max(400) }),
    ),
  frame: frame.optional(),
  heat: Joi.object({
    limitC: Joi.number().min(0).max(300),
    kPerW: Joi.number().positive().max(1000),
    jPerK: Joi.number().positive().max(1e5),
  }).optional(),
  turns: Joi.string().valid('clockwise', 'anticlockwise').optional(),
  speed: Joi.object({
    kv: Joi.number().positive().max(50000).optional(),
    polePairs: Joi.number().integer().min(1).max(50).optional(),
    limitErpm: Joi.number().positive().max(5e6).optional(),
  }).optional(),
  motorCurrent: Joi.object({
    typicalA: Joi.number().positive().max(1000),
    peakA: Joi.number().positive().max(1000),
  }).optional(),
  thrust: Joi.array()
    .max(100)
    .items(
      Joi.object({
        propellerMm: Joi.number().positive().max(3000),
        volts: Joi.number().positive().max(100),
        atA: Joi.number().positive().max(1000),
        g: Joi.number().positive().max(1e5),
      }),
    )
    .optional(),
  cable: Joi.object({
    lengthMm: Joi.number().positive().max(3000),
    acrossMm: Joi.number().positive().max(50),
    leastBendMm: Joi.number().min(0).max(200),
    connectors: Joi.array().items(key).min(1).max(4),
    lossDb: Joi.number().min(0).max(40).optional(),
  }).optional(),
  wantsCapacitor: Joi.object({ farads: Joi.number().positive().max(10) }).optional(),
  cells: Joi.object({
    series: Joi.number().integer().min(1).max(14),
    capacityAh: Joi.number().positive().max(200),
  }).optional(),
  measured: Joi.array()
    .max(400)
    .items(
      Joi.object({ is: Joi.string().valid('ohms'), black: key, red: key, ohms: Joi.number().min(0).max(1e12) }),
      Joi.object({ is: Joi.string().valid('tone'), black: key, red: key, sounds: Joi.boolean() }),
    )
    .optional(),
  knownFrom: Joi.object()
    .pattern(
      Joi.string()
        .pattern(/^(\/[^/]+)*$/, 'JSON pointer')
        .allow(''),
      certainty,
    )
    .max(300),
});
