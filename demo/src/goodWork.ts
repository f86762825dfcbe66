/** What a good step leaves in the log, told truly: bodies of its records. */
import type { Act, Expectation, Heard, Id, Length, Note, Step, StepOf } from '@junctor/core';
import {
  anchorsFor,
  assemble,
  chargeAfter,
  chargeBefore,
  compile,
  coreVersion,
  expectedSigns,
  expectIn,
  findFault,
  idsOf,
  judgeReading,
  layoutNote,
  layoutOf,
  lookedAt,
  looseReadings,
  mendingOf,
  notesOf,
  permitFor,
  provingOf,
  signId,
} from '@junctor/core';
import type { Bench, Walk } from './bench';

/** What a good step leaves in the log. */
export function bodiesFor(bench: Bench, now: Walk, step: Step): (Act | Note)[] {
  switch (step.verb) {
    case 'look':
      return lookedAt(step).map((of) => ({ saw: 'look', of, grade: 'good', defects: [] }));
    case 'prove':
      return [
        { saw: 'meter proof', meterId: bench.meter.id, tipsApart: 'none', tipsTogether: 'does not stop', restV: 0.003 },
      ];
    case 'touch':
      return [readingOf(bench, now, step, null)];
    case 'say':
      return [{ saw: 'caution', id: step.subject }];
    case 'picture':
      return [{ saw: 'skip', step: step.id, reason: 'no picture taken' }];
    case 'count':
      return [
        { saw: 'kit', line: step.subject, wanted: step.line.needed, have: step.line.needed, takes: [], parts: [] },
      ];
    case 'weigh':
      return [{ saw: 'weight', what: step.subject, grams: weighed(bench, now, step) }];
    case 'send':
      return [{ saw: 'goes', act: step.subject, slot: step.about.slot, to: 'customer' }];
    case 'hand':
      return [{ saw: 'handed over', to: 'the customer' }];
    case 'lay':
      return [signedLayout(bench)];
    case 'sign':
      return [signatureOf(bench, step)];
    case 'pack':
      return [{ saw: 'pack', volts: bench.packV, polarity: 'right', limiterId: bench.limiterId }];
    case 'permit':
      return [permitOf(bench, now)];
    case 'power':
      return [powerOf(bench, now)];
    default:
      return 'effect' in step ? [...step.effect] : [];
  }
}

/** Everything lies where the best lay puts it; what does not fit there is said, and goes in by a lead's word. */
function signedLayout({ plan, catalogue }: Bench): Note {
  const target = assemble(plan.target, catalogue);
  const margins = layoutOf(target)?.margins ?? [];
  const isFitting = margins.every(({ verdict }) => verdict !== 'no');
  return layoutNote(plan.target, margins, { reason: isFitting ? '' : 'tried dry by a lead: it goes in' });
}

/** A matter is closed by a correction of its own record: by what has been done, by what has been read. */
export function closingOf({ state: { log } }: Walk, step: Step): { body: Note; replaces: Id } | null {
  if (step.verb !== 'mend' && step.verb !== 'settle') return null;
  const { record: id } = step.about;
  const matter = [...notesOf(log, 'fault'), ...notesOf(log, 'symptom'), ...notesOf(log, 'open point')].find(
    ({ record }) => record.id === id,
  );
  const body = matter?.record.body;
  if (body?.saw === 'symptom') return { body: { ...body, answer: { how: 'gone', words: '' } }, replaces: id };
  if (body?.saw === 'open point') return { body: { ...body, state: 'closed', how: 'looked into' }, replaces: id };
  const fault = findFault(log, id);
  if (!fault) return null;
  const mendedBy = idsOf(mendingOf(fault, log));
  const now = fault.record.body.fault;
  const closed =
    step.verb === 'mend'
      ? { ...now, state: 'mended' as const, mendedBy }
      : { ...now, state: 'proved' as const, mendedBy, provedBy: idsOf(provingOf(fault, log)) };
  return { body: { saw: 'fault', fault: closed }, replaces: id };
}

/** As the models say, and a little off, as scales and parts are. */
function weighed({ plan, catalogue }: Bench, { state }: Walk, { about, subject }: StepOf<'weigh'>): number {
  const target = assemble(plan.target, catalogue);
  if (about.kind === 'slot') return Math.round(target.model(subject)!.massG * 10.2) / 10;
  const { build, model } = state.asBuilt;
  const dry = Object.keys(build.slots).reduce((sum, slot) => sum + model(slot)!.massG, 0);
  return Math.round(dry * 10.1) / 10 + (about.as === 'dry' ? 0 : packG);
}

/** What the walk puts under a quad when it is weighed with its pack. */
const packG = 560;

function signatureOf({ plan, catalogue, meter }: Bench, { subject: slot, loose }: StepOf<'sign'>): Note {
  const readings = looseReadings(assemble(plan.target, catalogue).model(slot)!, meter, loose).map(
    ({ black, red, mode, expected }) => ({
      black: black.id,
      red: red.id,
      mode,
      length: expected.passes.at(-1) ?? null,
      value: expected.band ? (expected.band[0] + expected.band[1]) / 2 : null,
      passes: expected.passes,
      band: expected.band,
      verdict: 'pass' as const,
    }),
  );
  return { saw: 'signature', slot, part: null, readings };
}

/** A reading as a good build gives it, or with the length that was heard instead at a tone. */
export function readingOf(bench: Bench, now: Walk, step: StepOf<'touch'>, heardInstead: Length | null): Note {
  const { touch } = step.listed;
  const before = chargeBefore(now.state.log, new Date(now.nowMs).toISOString());
  const options = { meter: bench.meter, ...before, heldS: 2.5 };
  const circuit = compile(now.state.asBuilt);
  const expected = expectIn(circuit, touch, options);
  const anchors = anchorsFor(touch, now.state.log, bench.jobId);
  const answer = heardInstead ? { length: heardInstead } : answerOf(expected);
  const heard = {
    ...answer,
    heldMs: 2500,
    by: 'key' as const,
    wrong: answer.length === 'none' ? 0.03 : 0.005,
    anchors,
  };
  const chargeAfterV = chargeAfter(circuit, touch, options);
  const judged = { ...expected, chargeAfterV };
  return {
    saw: 'reading',
    reading: {
      touch,
      meterId: bench.meter.id,
      heard,
      expected: judged,
      verdict: judgeReading(judged, heard),
      coreVersion,
    },
  };
}

/** In the middle of what a good build may show. */
function answerOf({ touch, passes, band, open }: Expectation): Pick<Heard, 'length' | 'value' | 'open' | 'unit'> {
  if (touch.mode === 'tone') return { length: passes[Math.floor((passes.length - 1) / 2)]! };
  if (open || !band) return { open: true };
  return { value: Math.round(500 * (band[0] + band[1])) / 1000, unit: touch.mode === 'ohms' ? 'ohm' : 'V' };
}

function permitOf(bench: Bench, { state, nowMs }: Walk): Note {
  const wanted = permitFor(state.log, bench.jobId, 'the limiter', new Date(nowMs).toISOString());
  const checks = state.steps.flatMap(({ by }) => by);
  return { saw: 'permit', gate: 'first power', checks, waivers: [], ...(wanted ? { for: wanted } : {}) };
}

function powerOf(bench: Bench, { state }: Walk): Note {
  const permit = notesOf(state.log, 'permit').at(-1)?.record.id ?? null;
  const signs = expectedSigns(state.asBuilt).map((sign) => ({ id: signId(sign), seen: true }));
  return {
    saw: 'power',
    stage: 'limited, all',
    permit,
    limiterId: bench.limiterId,
    packV: bench.packV,
    onS: 8,
    ambientC: null,
    endedBy: 'done',
    signs,
    verdict: 'pass',
  };
}
