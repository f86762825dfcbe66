import type { SlotAbout } from '../../../facts/assembly/difference';
import { slotTitle } from '../../../facts/assembly/slotWords';
import { isMotor } from '../../../facts/catalogue/kinds';
import type { PartKind } from '../../../facts/catalogue/partModel';
import type { Slot } from '../../../facts/terms/names';
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
type SignStep = Draft<'sign', SlotAbout & { leadsOff: boolean }>;

const signed: ReadonlySet<PartKind> = new Set(['esc', 'single board', 'controller', 'video unit']);

/**
 * The signature of a loose part: what a meter reads on it before anything is soldered. Where a part is replaced also
 * that of its partners, while their leads are off, and of the new one.
 */
export const sign: StepKind<SignStep> = {
  plan: (job) => {
    const replaced = aroundReplaced(job);
    const known = new Set(replaced.map(({ subject }) => subject));
    const drafts = firstOfModel(looseParts(job))
      .filter(({ slot, model }) => signed.has(model.kind) && !known.has(slot))
      .map(({ slot }) => draft(slot, kitPlace(kitTurns.sign)));
    return [...untilWorkBegins(drafts, job, sign.state), ...replaced];
  },
  state: ({ about }, job) => {
    const by = lastNote(job, 'signature', about.slot) ?? lastNote(job, 'skip', `sign:${about.slot}`);
    const decided = job.replacements.findLast(({ slot, partners }) => [slot, ...partners].includes(about.slot));
    return by && (!decided || by.madeSeq > decided.note.madeSeq) ? done(by.record.id) : open();
  },
  words: ({ about }, { target }) => {
    const title = slotTitle(about.slot, target);
    return `Read the ${about.leadsOff ? `${title}, its leads off` : `loose ${title}`}: its signature`;
  },
  why: ({ about }) => (about.leadsOff ? 'what died with the old part kills the new one' : inThisOrder),
  takesS: () => 60,
};

function draft(slot: Slot, place: Place, leadsOff = false): SignStep {
  return { verb: 'sign', subject: slot, about: { kind: 'slot', slot, leadsOff }, place };
}

/** The new part, and the motors that hung on the old one; what drives a motor is read with everything joined. */
function aroundReplaced({ replacements, target }: JobContext): SignStep[] {
  const place: Place = { stretch: 'power path', group: { kind: 'what comes off' }, turn: offTurns.sign };
  const slots = new Map<Slot, boolean>();
  for (const { slot, partners } of replacements) {
    for (const partner of partners) if (isMotor(target.model(partner)?.kind ?? 'frame')) slots.set(partner, true);
    const kind = target.model(slot)?.kind;
    if (kind && (signed.has(kind) || isMotor(kind))) slots.set(slot, false);
  }
  return [...slots].map(([slot, leadsOff]) => draft(slot, place, leadsOff));
}
