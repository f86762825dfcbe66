import type { SlotAbout } from '../../../facts/assembly/difference';
import type { PartKind } from '../../../facts/catalogue/partModel';
import { slotWords } from '../../../facts/assembly/itemWords';
import { inThisOrder } from '../changeStep';
import { firstOfModel, kitPlace, kitTurns, looseParts, notedOrSkipped } from '../looseParts';
import type { Draft, StepKind } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

type WeighStep = Draft<'weigh', SlotAbout>;

const weighed: ReadonlySet<PartKind> = new Set(['frame', 'esc', 'single board', 'controller', 'motor']);

/** A part weighed while it is loose. */
export const weigh: StepKind<WeighStep> = {
  plan: (job) => {
    const drafts = firstOfModel(looseParts(job))
      .filter(({ model }) => weighed.has(model.kind))
      .map(({ slot }): WeighStep => ({
        verb: 'weigh',
        subject: slot,
        about: { kind: 'slot', slot },
        place: kitPlace(kitTurns.weigh),
      }));
    return untilWorkBegins(drafts, job, weigh.state);
  },
  state: ({ about }, job) => notedOrSkipped(job, 'weight', about.slot, `weigh:${about.slot}`),
  words: ({ about }, { target }) => `Weigh ${slotWords(about.slot, target)} while it is loose`,
  why: () => inThisOrder,
  takesS: () => 20,
};
