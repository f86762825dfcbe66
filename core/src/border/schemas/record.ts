/** Schemas of records as a client sends them: acts and notes. */
import Joi from 'joi';
import { symptomAreas, waysOfDying } from '../../facts/log/records';
import { contactWhy, fitted, hiddenBy, housing, mate, wireBody, wireEnd } from './build';
import { id, key, printable, range, seconds, tagged, terminalRef, text, time, wireEndIndex, version } from './common';

const length = Joi.string().valid('none', 'chirp', 'about a second', 'many seconds', 'does not stop');
const powerStage = Joi.string().valid('off', 'usb', 'limited, dear units unplugged', 'limited, all', 'pack');
const dwellS = seconds.allow(null);
const refs = Joi.array().items(terminalRef).max(400);
const position = Joi.number().integer().min(-99).max(99);
const between = Joi.array().ordered(terminalRef, terminalRef).length(2);

const site = Joi.alternatives(
  Joi.object({ wire: key, end: wireEndIndex.optional() }),
  Joi.object({ slot: key, element: key.optional() }),
  Joi.object({ mate: key, position: position.optional() }),
  Joi.object({ between }),
);

const ironUse = Joi.object({ ironId: id, tip: key, setC: Joi.number().min(0).max(500), dwellS });

const act = {
  fit: { slot: key, fitted },
  'take off': { slot: key, to: Joi.string().valid('stock', 'scrap', 'customer', 'bench') },
  land: {
    wire: key,
    end: wireEndIndex,
    as: wireEnd,
    body: wireBody,
    tool: ironUse.optional(),
    solderLot: id.optional(),
  },
  reheat: { wire: key, end: wireEndIndex, dwellS },
  free: {
    wire: key,
    end: wireEndIndex,
    left: Joi.string().valid('clean', 'residue', 'lifted'),
    now: Joi.string().valid('bare', 'insulated'),
  },
  'drop wire': { wire: key },
  house: { housing },
  unhouse: { housing: key },
  mate: { id: key, mate },
  unmate: { id: key },
  hide: { refs, by: hiddenBy, cureUntil: time.optional() },
  bare: { refs },
  contact: { a: terminalRef, b: terminalRef, ohms: Joi.number().min(0).max(1e9), why: contactWhy },
};

const touch = Joi.object({
  black: terminalRef,
  red: terminalRef,
  mode: Joi.string().valid('tone', 'ohms', 'diode', 'volts'),
  power: powerStage,
});

const milliseconds = Joi.number().min(0).max(86_400_000);

const reading = Joi.object({
  touch,
  meterId: id,
  heard: Joi.object({
    length: length.optional(),
    toneMs: milliseconds.optional(),
    heldMs: milliseconds.allow(null),
    value: Joi.number().min(-1e9).max(1e9).optional(),
    open: Joi.boolean().valid(true).optional(),
    unit: Joi.string().valid('ohm', 'V').optional(),
    by: Joi.string().valid('key', 'ear', 'meter'),
    wrong: Joi.number().min(0).max(1),
    anchors: Joi.object({ black: id.allow(null), red: id.allow(null) }),
  }),
  expected: Joi.object({
    touch,
    from: Joi.string().valid('computed', 'learned', 'maker', 'none'),
    passes: Joi.array().items(length).max(5),
    band: range.allow(null),
    open: Joi.boolean().valid(true).optional(),
    chargeAfterV: Joi.object().pattern(key, Joi.number()),
    because: Joi.array().items(site).max(200),
  }),
  verdict: Joi.string().valid('pass', 'stop', 'look again', 'record only'),
  coreVersion: key,
});

const proofs = Joi.array().items(id).min(1).max(400);
const fault = Joi.object({
  symptom: Joi.string().trim().min(1).max(300),
  site,
  cause: text,
  defect: text.optional(),
  partsReplaced: Joi.array().items(id).max(20),
  done: text,
  minutes: Joi.number().min(0).max(10000),
  costMinor: Joi.number().integer().min(0).max(1e12),
  state: Joi.string().valid('found', 'mended', 'proved', 'accepted'),
  mendedBy: proofs.optional(),
  provedBy: proofs.optional(),
  pictures: Joi.array().items(id).max(20).optional(),
  acceptedBecause: printable(300).trim().min(3).optional(),
});

const signatureReading = Joi.object({
  black: key,
  red: key,
  mode: Joi.string().valid('tone', 'ohms', 'diode'),
  length: length.allow(null),
  value: Joi.number().allow(null),
  open: Joi.valid(true).optional(),
  passes: Joi.array().items(length).max(5),
  band: range.allow(null),
  verdict: Joi.string().valid('pass', 'stop', 'record only'),
});
const stepId = Joi.string()
  .pattern(/^[a-z]+:.+$/, 'verb:subject')
  .max(200);
const sentence = printable(300).trim().min(1);
const destination = Joi.string().valid('customer', 'stock', 'scrap');
const amount = Joi.number().min(0).max(1e6);

const note = {
  reading: { reading },
  look: { of: key, grade: Joi.string().valid('good', 'redo', 'accept'), defects: Joi.array().items(text).max(20) },
  power: {
    stage: powerStage,
    permit: id.allow(null),
    limiterId: id.allow(null),
    packV: Joi.number().min(0).max(1000),
    onS: seconds,
    ambientC: Joi.number().min(-100).max(200).allow(null),
    endedBy: Joi.string().valid('done', 'time', 'sign', 'heat'),
    signs: Joi.array()
      .items(Joi.object({ id: key, seen: Joi.alternatives(Joi.boolean(), Joi.number()) }))
      .max(100),
    verdict: Joi.string().valid('pass', 'stop'),
  },
  'meter proof': { meterId: id, tipsApart: length, tipsTogether: length, restV: Joi.number().min(-1000).max(1000) },
  pack: { volts: Joi.number().min(0).max(1000), polarity: Joi.string().valid('right', 'reversed'), limiterId: id },
  fault: { fault },
  caution: { id: key },
  waiver: {
    finding: Joi.string().max(600),
    severity: Joi.string().valid('stop', 'warn'),
    reason: printable(300).trim().min(3),
  },
  kit: {
    line: key,
    wanted: amount,
    have: amount,
    takes: Joi.array()
      .items(Joi.object({ stock: id, quantity: amount }))
      .max(20),
    parts: Joi.array().items(id).max(40),
    instead: printable(120).trim().min(1).optional(),
  },
  weight: { what: key, grams: Joi.number().min(0).max(100000) },
  signature: { slot: key, part: id.allow(null), readings: Joi.array().items(signatureReading).min(1).max(60) },
  layout: {
    basis: Joi.string().max(40_000),
    no: Joi.array().items(sentence).max(200),
    tight: Joi.number().integer().min(0).max(1000),
    reason: text,
    pictured: id.optional(),
  },
  gap: {
    kind: Joi.string().max(40),
    slots: Joi.array().items(key).min(1).max(40),
    models: Joi.array().items(Joi.string().max(120)).min(1).max(40),
    mm: Joi.number().min(-500).max(2000),
    reckonedMm: Joi.number().min(-2000).max(2000),
  },
  length: {
    wire: key,
    mm: Joi.number().positive().max(3000),
    reckonedMm: Joi.number().positive().max(3000).allow(null),
  },
  cut: {
    from: Joi.array()
      .max(200)
      .items(
        Joi.object({
          stock: id,
          wires: Joi.array().items(key).max(100),
          left: Joi.object({ id, lengthMm: Joi.number().positive().max(100000) }).allow(null),
        }),
      ),
    back: Joi.array()
      .max(40)
      .items(Joi.object({ stock: id, mm: amount })),
  },
  skip: { step: stepId, reason: text },
  picture: { of: key, blob: id },
  symptom: {
    area: Joi.string().valid(...symptomAreas),
    words: sentence,
    answer: Joi.object({ how: Joi.string().valid('gone', 'handed on'), words: text }).allow(null),
  },
  history: {
    died: Joi.string().valid(...waysOfDying),
    changedLast: text,
    overloadedS: seconds.allow(null),
  },
  untouched: { since: id },
  replace: { slot: key, part: id.allow(null), oldSerial: printable(80).allow(null), oldTo: destination, reason: text },
  'stays open': { mate: key, reason: sentence },
  'open point': { text: sentence, state: Joi.string().valid('open', 'closed', 'handed on'), how: text },
  goes: { act: id, slot: key, to: destination },
  'handed over': { to: sentence },
  'taken back': { reason: text },
};

/** Permits are missing on purpose: only the server makes them. */
const body = Joi.when(
  Joi.ref('.', { adjust: (value: unknown) => typeof value === 'object' && value !== null && 'do' in value }),
  {
    is: true,
    then: tagged('do', act),
    otherwise: tagged('saw', note),
  },
);

const sentRecord = Joi.object({
  id,
  jobId: id,
  step: stepId.allow(null),
  personId: id,
  deviceId: id,
  shownAt: time.allow(null),
  doneAt: time,
  basisSeq: Joi.number().integer().min(0).max(1e12),
  planVersion: version,
  how: Joi.string().valid('did', 'found'),
  replaces: id.optional(),
  body,
});

/**
 * One to a hundred records, stored together or not at all.
 * `hand`: proves whose the records are when somebody else is signed in by now.
 */
export const sentRecords = Joi.object({
  records: Joi.array().items(sentRecord).min(1).max(100),
  hand: Joi.string().max(64).optional(),
});
