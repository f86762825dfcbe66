/** Schemas of Build and its pieces. */
import Joi from 'joi';
import type { Range } from '../../facts/terms/names';
import { purposes } from '../../facts/plan/wish';
import { key, tagged, terminalRef, version } from './common';
import { inherited } from './readable';
import { thread } from './sizes';

const position = Joi.number().integer().min(1).max(99);
const pose = Joi.object({
  place: Joi.string().max(80),
  atMm: Joi.array().items(Joi.number()).length(3),
  yawDeg: Joi.number(),
  face: Joi.string().valid('up', 'down'),
});

export const fitted = Joi.object({
  model: key,
  revision: version,
  part: key.allow(null),
  pose: pose.allow(null),
});

const landing = tagged('on', {
  terminal: { ref: terminalRef },
  cavity: { housing: key, position },
  air: { end: Joi.string().valid('bare', 'insulated') },
});

export const wireEnd = Joi.object({
  at: landing,
  by: Joi.string().valid('solder', 'crimp', 'factory', 'screw', 'none'),
  lay: Joi.string().valid('flat', 'through', 'cup').optional(),
});

const wireBodyKeys = {
  awg: Joi.number().min(4).max(40),
  colour: Joi.string().max(30),
  insulation: Joi.string().max(30),
  from: Joi.string().valid('stock', 'tail', 'supplied'),
  tailOf: terminalRef.optional(),
  lengthMm: Joi.number().min(0).max(5000).allow(null),
  via: Joi.array().items(key).max(100),
  bundle: key.optional(),
  sleeveMm: Joi.number().min(0).max(5000).optional(),
};

export const wireBody = Joi.object(wireBodyKeys);
const wire = Joi.object({ id: key, ...wireBodyKeys, ends: Joi.array().items(wireEnd).length(2) });
export const housing = Joi.object({
  id: key,
  family: key,
  pitchMm: Joi.number().positive().max(100),
  ways: position,
  key,
  marked: Joi.string().max(200).optional(),
});

const connectorRef = Joi.alternatives(Joi.object({ slot: key, connector: key }), Joi.object({ housing: key }));
export const mate = Joi.object({
  a: connectorRef,
  b: connectorRef,
  shift: Joi.number().integer().min(-99).max(99),
  mirrored: Joi.boolean(),
  glued: Joi.boolean(),
});

export const hiddenBy = Joi.string().valid('coating', 'glue', 'lid', 'shrink', 'board');
export const contactWhy = Joi.string().valid('screw', 'rests on', 'measured');
const contact = Joi.object({ a: terminalRef, b: terminalRef, ohms: Joi.number().min(0).max(1e9), why: contactWhy });

const layer = Joi.alternatives(
  Joi.object({ slot: key }),
  Joi.object({ washer: key, mm: Joi.number().positive().max(100) }),
  Joi.object({ nut: key, mm: Joi.number().positive().max(100) }),
  Joi.object({ grommet: key, freeMm: Joi.number().positive().max(100), squeezedMm: Joi.number().positive().max(100) }),
  Joi.object({ tape: key, mm: Joi.number().positive().max(10) }),
);
const stack = Joi.object({
  screw: Joi.object({ thread, lengthMm: Joi.number().positive().max(200) }),
  layers: Joi.array().items(layer).max(100),
});

export const build = Joi.object({
  slots: Joi.object().pattern(Joi.string().pattern(/^[^.\s~:#]+$/, 'designator'), fitted),
  wires: Joi.object().pattern(key, wire),
  housings: Joi.object().pattern(key, housing),
  mates: Joi.object().pattern(key, mate),
  stacks: Joi.object().pattern(key, stack).optional(),
  contacts: Joi.array().items(contact),
  hidden: Joi.object().pattern(terminalRef, hiddenBy),
  heats: Joi.object().pattern(terminalRef, Joi.number().integer().min(0).max(10_000)),
});

const cellCount = Joi.number().integer().min(1).max(99);
/** Fewest and most cells in series. */
export const cells = Joi.array()
  .ordered(cellCount, cellCount)
  .length(2)
  .custom((value: Range, helpers) =>
    value[0] <= value[1] ? value : helpers.message({ custom: '{{#label}} must name the fewest cells first' }),
  );

const link = Joi.object({
  id: key,
  purpose: Joi.string().max(120),
  ends: Joi.array().items(Joi.object({ slot: key, port: key })),
  wires: Joi.array().items(key),
  set: Joi.object().pattern(key, Joi.alternatives(Joi.string(), Joi.number(), Joi.boolean())),
  wish: key.optional(),
});
const wish = Joi.object({
  id: key,
  purpose: Joi.string().valid(...purposes),
  of: key,
  must: Joi.boolean(),
  lossIfDropped: Joi.number().min(0).max(100),
  ways: Joi.array().items(key),
});
const pinned = Joi.object({ what: Joi.string().valid('terminal', 'port', 'colour', 'gauge'), of: key, value: key });

export const planDraft = Joi.object({
  target: build,
  front: key.allow(null),
  links: Joi.array().items(link),
  // Files and plans from before there was a planner have neither.
  wishes: Joi.array().items(wish).optional(),
  pinned: Joi.array().items(pinned).optional(),
  cells,
  schools: Joi.object().pattern(key, Joi.string()),
});

/** A build file as it is given to the job form. */
export const buildFile = Joi.object({
  format: Joi.string().valid('junctor-build'),
  version: Joi.number().valid(1),
  name: Joi.string().trim().min(1).max(120),
  plan: planDraft,
});

export const planChange = Joi.object({
  path: Joi.string()
    .pattern(/^(slots|wires|housings|mates|stacks|links|wishes|pinned|schools)\/.+$|^cells$/, 'path in the plan')
    .max(300)
    .pattern(new RegExp(`/(?:${[...inherited].join('|')})$`), { name: 'name of its own', invert: true }),
  before: Joi.any().required(),
  after: Joi.when('path', {
    switch: [
      { is: Joi.string().pattern(/^slots\//), then: fitted.allow(null) },
      { is: Joi.string().pattern(/^wires\//), then: wire.allow(null) },
      { is: Joi.string().pattern(/^housings\//), then: housing.allow(null) },
      { is: Joi.string().pattern(/^mates\//), then: mate.allow(null) },
      { is: Joi.string().pattern(/^stacks\//), then: stack.allow(null) },
      { is: Joi.string().pattern(/^links\//), then: link.allow(null) },
      { is: Joi.string().pattern(/^wishes\//), then: wish.allow(null) },
      { is: Joi.string().pattern(/^pinned\//), then: pinned.allow(null) },
      { is: Joi.string().pattern(/^schools\//), then: Joi.string().allow(null) },
    ],
    otherwise: cells,
  }),
});
