import type { SlotAbout } from '../../../facts/assembly/difference';
import type { PartKind } from '../../../facts/catalogue/partModel';
import { slotTitle } from '../../../facts/assembly/itemWords';
import { inThisOrder } from '../changeStep';
import { firstOfModel, kitPlace, kitTurns, looseParts, notedOrSkipped } from '../looseParts';
import type { Draft, StepKind } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

type SignStep = Draft<'sign', SlotAbout>;

const signed: ReadonlySet<PartKind> = new Set(['esc', 'single board', 'controller', 'video unit']);

/** The signature of a loose part: what a meter reads on it before anything is soldered. */
export const sign: StepKind<SignStep> = {
  plan: (job) => {
    const drafts = firstOfModel(looseParts(job))
      .filter(({ model }) => signed.has(model.kind))
      .map(({ slot }): SignStep => ({
        verb: 'sign',
        subject: slot,
        about: { kind: 'slot', slot },
        place: kitPlace(kitTurns.sign),
      }));
    return untilWorkBegins(drafts, job, sign.state);
  },
  state: ({ about }, job) => notedOrSkipped(job, 'signature', about.slot, `sign:${about.slot}`),
  words: ({ about }, { target }) => `Read the loose ${slotTitle(about.slot, target)}: its signature`,
  why: () => inThisOrder,
  takesS: () => 60,
};
