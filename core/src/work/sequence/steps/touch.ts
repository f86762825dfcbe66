import { probeWords } from '../../../judgement/checks/reach';
import { touchKey } from '../../../facts/log/noteSubject';
import type { NoteOf } from '../../../facts/log/logState';
import { invalidatedBy, standsOnAll, standsOnTerminals } from '../../../facts/log/stale';
import { badPowers } from '../../../facts/log/withdrawn';
import type { Id } from '../../../facts/terms/names';
import type { ListedTouch, TouchReason } from '../../../judgement/checks/continuityTouches';
import { isOfMainLeads } from '../../../judgement/checks/continuityTouches';
import { continuityPlace, continuityTurns } from '../continuityPlace';
import type { JobContext } from '../jobContext';
import { lastNote } from '../jobContext';
import { unsaidFaults } from '../faults';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

interface TouchStep extends Draft<'touch', { kind: 'touch'; listed: ListedTouch }> {
  listed: ListedTouch;
}

/** Two probes on two terminals. */
export const touch: StepKind<TouchStep> = {
  plan: ({ touches }) =>
    touches.touches.map((listed): TouchStep => ({
      verb: 'touch',
      subject: `${listed.touch.black}~${listed.touch.red}~${listed.touch.mode}`,
      about: { kind: 'touch', listed },
      listed,
      place: continuityPlace(continuityTurns.touch),
    })),
  state: ({ listed }, job) => {
    const last = lastNote(job, 'reading', touchKey(listed.touch));
    if (isOfMainLeads(listed.reason) && shortSince(last, job))
      return open('A short was read between them', job.short!.record.id);
    if (!last) return open();
    const spoiled = reopenedBy(last, listed, job);
    if (spoiled) return open('Worked on since it was read', spoiled);
    const { verdict, heard } = last.record.body.reading;
    if (verdict === 'stop')
      return open(
        `Read “${heard.length ?? (heard.open ? 'open' : `${heard.value} ${heard.unit}`)}”, which no good build shows`,
      );
    if (verdict === 'look again') return open('Silent, contact not proven');
    if (verdict === 'record only') return open('Kept as it was read: nothing is computed that it can be held against');
    return done(last.record.id);
  },
  words: ({ listed: { touch: pair } }, { target }) =>
    `Black on ${probeWords(pair.black, target)}, red on ${probeWords(pair.red, target)}`,
  why: ({ listed }) => whyTouch[listed.reason],
  takesS: () => 5,
};

/** A short stands that this reading neither followed nor is; what it said itself is said by its verdict. */
function shortSince(last: NoteOf<'reading'> | null, { short }: JobContext): boolean {
  if (!short) return false;
  if (last?.record.id === short.record.id) return last.record.body.reading.verdict !== 'stop';
  return !last || last.madeSeq <= short.madeSeq;
}

/**
 * The record that makes a reading stale, or null: an act, or a fault at its place that was taken back. Main-lead
 * readings stand on every act and fault, and on power that went wrong.
 */
function reopenedBy(reading: NoteOf<'reading'>, { touch: pair, reason }: ListedTouch, { log }: JobContext): Id | null {
  const mains = isOfMainLeads(reason);
  const act = invalidatedBy(reading, log, mains ? standsOnAll : standsOnTerminals(pair.black, pair.red));
  if (act) return act.record.id;
  const unsaid = unsaidFaults(log).find(
    ({ seq, refs }) => seq > reading.madeSeq && (mains || refs.has(pair.black) || refs.has(pair.red)),
  );
  if (unsaid || !mains) return unsaid?.by ?? null;
  return badPowers(log).find(({ seq }) => seq > reading.madeSeq)?.id ?? null;
}

const whyTouch: Readonly<Record<TouchReason, string>> = {
  'first anchor': 'this tone proves that the probes make contact',
  'main leads': 'a short here burns everything; red on + first, then exchanged',
  'main leads exchanged': 'the tone may last as long as the first touch, not longer',
  ground: 'a part without ground returns its current through signal pins',
  'wire end to end': 'both joints and the wire between, in one touch',
  'same net': 'this tone makes silence on the rail count',
  'rail to ground': 'a shorted rail kills its regulator',
  'sister phase': 'an open phase is a cold joint or enamel in the bundle',
  'phase to rail': 'a bridge or a shorted transistor burns the ESC at once',
  neighbours: 'they lie so close that solder can join them',
};
