import type { SlotAbout } from '../../../facts/assembly/difference';
import { slotTitle } from '../../../facts/assembly/slotWords';
import { isMotor } from '../../../facts/catalogue/kinds';
import type { PartKind } from '../../../facts/catalogue/partModel';
import type { NoteOf } from '../../../facts/log/logState';
import type { SignatureReading } from '../../../facts/log/records';
import { lookUp } from '../../../facts/terms/lookUp';
import type { Slot } from '../../../facts/terms/names';
import type { LooseTouch } from '../../../judgement/checks/touchList';
import { inThisOrder } from '../changeStep';
import type { JobContext } from '../jobContext';
import { lastNote } from '../jobContext';
import { firstOfModel, kitPlace, kitTurns, looseParts } from '../looseParts';
import type { Place } from '../order';
import { offTurns } from '../order';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

/** `leadsOff`: of a part that stays in its place. */
interface SignStep extends Draft<'sign', SlotAbout & { leadsOff: boolean }> {
  /** What the list of touches asks of it besides: it can be seen only while the part is loose. */
  loose: readonly LooseTouch[];
}

const signed: ReadonlySet<PartKind> = new Set(['esc', 'single board', 'controller', 'video unit']);

/**
 * The signature of a loose part: what a meter reads on it before anything is soldered. Where a part is replaced also
 * that of its partners, while their leads are off, and of the new one.
 */
export const sign: StepKind<SignStep> = {
  plan: (job) => {
    const replaced = aroundReplaced(job);
    const known = new Set(replaced.map(({ subject }) => subject));
    const parts = looseParts(job);
    const first = new Set(firstOfModel(parts).map(({ slot }) => slot));
    const isAsked = ({ slot, model }: (typeof parts)[number]) =>
      (signed.has(model.kind) && first.has(slot)) || looseOf(job, slot).length > 0;
    const drafts = parts
      .filter((part) => isAsked(part) && !known.has(part.slot))
      .map(({ slot }) => draft(job, slot, kitPlace(kitTurns.sign)));
    const asked = new Set(untilWorkBegins(drafts, job, sign.state));
    return [...drafts.filter((one) => asked.has(one) || badReading(job, one.subject)), ...replaced];
  },
  state: ({ about }, job) => {
    const by = lastWord(job, about.slot);
    const decided = job.replacements.findLast(({ slot, partners }) => [slot, ...partners].includes(about.slot));
    if (!by || (decided && by.madeSeq <= decided.note.madeSeq)) return open();
    const bad = badReading(job, about.slot);
    return bad
      ? open(`${bad.black} to ${bad.red} reads as on no good part: take another, or read it again`)
      : done(by.record.id);
  },
  words: ({ about }, { target }) => {
    const title = slotTitle(about.slot, target);
    return `Read the ${about.leadsOff ? `${title}, its leads off` : `loose ${title}`}: its signature`;
  },
  why: ({ about }) => (about.leadsOff ? 'what died with the old part kills the new one' : inThisOrder),
  takesS: ({ loose }) => 60 + touchS * loose.length,
};

/** Assumed: one reading in diode volts. */
const touchS = 6;

/** Its newest signature, or that it was put off. */
function lastWord(job: JobContext, slot: Slot): NoteOf<'signature'> | NoteOf<'skip'> | null {
  const [read, put] = [lastNote(job, 'signature', slot), lastNote(job, 'skip', `sign:${slot}`)];
  return put && (!read || put.madeSeq > read.madeSeq) ? put : read;
}

/** A reading that no good part shows, which nothing has been said against since. */
function badReading(job: JobContext, slot: Slot): SignatureReading | null {
  const body = lastWord(job, slot)?.record.body;
  return (body?.saw === 'signature' && body.readings.find(({ verdict }) => verdict === 'stop')) || null;
}

function looseOf({ touches }: JobContext, slot: Slot): readonly LooseTouch[] {
  return (touches.list && lookUp(touches.list.loose, slot)) ?? [];
}

function draft(job: JobContext, slot: Slot, place: Place, leadsOff = false): SignStep {
  const loose = leadsOff ? [] : looseOf(job, slot);
  return { verb: 'sign', subject: slot, about: { kind: 'slot', slot, leadsOff }, place, loose };
}

/** The new part, and the motors that hung on the old one; what drives a motor is read with everything joined. */
function aroundReplaced(job: JobContext): SignStep[] {
  const { replacements, target } = job;
  const place: Place = { stretch: 'power path', group: { kind: 'what comes off' }, turn: offTurns.sign };
  const slots = new Map<Slot, boolean>();
  for (const { slot, partners } of replacements) {
    for (const partner of partners) if (isMotor(target.model(partner)?.kind ?? 'frame')) slots.set(partner, true);
    const kind = target.model(slot)?.kind;
    if (kind && (signed.has(kind) || isMotor(kind))) slots.set(slot, false);
  }
  return [...slots].map(([slot, leadsOff]) => draft(job, slot, place, leadsOff));
}
