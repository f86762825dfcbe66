import type { SlotAbout } from '../../../facts/assembly/difference';
import type { PartKind } from '../../../facts/catalogue/partModel';
import { slotWords } from '../../../facts/assembly/slotWords';
import { inThisOrder } from '../changeStep';
import { handOverPlace, handOverTurns, lastWorkSeq } from '../handOver';
import { lastNote } from '../jobContext';
import { firstOfModel, kitPlace, kitTurns, looseParts, notedOrSkipped } from '../looseParts';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

const craftWeights = ['dry', 'with pack'] as const;

type WeighStep = Draft<'weigh', SlotAbout | { kind: 'craft'; as: (typeof craftWeights)[number] }>;

const weighed: ReadonlySet<PartKind> = new Set(['frame', 'esc', 'single board', 'controller', 'motor']);

const craft = craftWeights.map((as): WeighStep => ({
  verb: 'weigh',
  subject: as,
  about: { kind: 'craft', as },
  place: handOverPlace(handOverTurns.weigh),
}));

/** A part weighed while it is loose; the whole quad when it goes back. */
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
    return [...untilWorkBegins(drafts, job, weigh.state), ...craft];
  },
  state: ({ about, subject }, job) => {
    if (about.kind === 'slot') return notedOrSkipped(job, 'weight', subject, `weigh:${subject}`);
    const worked = lastWorkSeq(job.log, job.jobId);
    const by = [lastNote(job, 'weight', subject), lastNote(job, 'skip', `weigh:${subject}`)].find(
      // What was weighed as the quad came in is no weight of what goes back, also where nothing was done to it.
      (note) => note !== null && note.madeSeq > worked && (job.begun || note.record.step === `weigh:${subject}`),
    );
    return by ? done(by.record.id) : open();
  },
  words: ({ about }, { target }) => {
    if (about.kind === 'slot') return `Weigh ${slotWords(about.slot, target)} while it is loose`;
    return about.as === 'dry' ? 'Weigh the quad dry: no pack, no propellers' : 'Weigh the quad with its pack';
  },
  why: () => inThisOrder,
  takesS: () => 20,
};
