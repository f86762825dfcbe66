import { slotWords } from '../../../facts/assembly/slotWords';
import type { Slot } from '../../../facts/terms/names';
import { inThisOrder } from '../changeStep';
import type { JobContext } from '../jobContext';
import { lastNote } from '../jobContext';
import { offTurns, turns } from '../order';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

/** `of`: what it is called in the log; `slot`: the part that it is of, null for all of the wiring. */
type PictureStep = Draft<'picture', { kind: 'picture'; of: string; slot: Slot | null; before: 'off' | 'hidden' }>;

/** A picture before something can no longer be seen: what is off or hidden already cannot be photographed any more. */
export const picture: StepKind<PictureStep> = {
  plan: (job) => [
    ...untilWorkBegins(oldWiring(job), job, picture.state),
    ...beforeReplacing(job),
    ...beforeHiding(job),
  ],
  state: ({ about }, job) => {
    const by = lastNote(job, 'picture', about.of) ?? lastNote(job, 'skip', `picture:${about.of}`);
    const replaced = job.replacements.findLast(({ slot }) => slot === about.slot && about.before === 'off');
    return by && (!replaced || by.madeSeq > replaced.note.madeSeq) ? done(by.record.id) : open();
  },
  words: ({ about }, { target, asBuilt }) => {
    if (about.slot === null) return `Take a picture of ${about.of} before anything is opened`;
    const words = slotWords(about.slot, Object.hasOwn(asBuilt.build.slots, about.slot) ? asBuilt : target);
    return about.before === 'off'
      ? `Take a picture of ${words} and its wires before they come off`
      : `Take a picture of ${words} before it lies face down`;
  },
  why: ({ about }) =>
    about.before === 'off' ? inThisOrder : 'its print and its contacts cannot be seen any more then',
  takesS: () => 20,
};

function oldWiring({ fromStart, changes }: JobContext): PictureStep[] {
  const off = changes.some(({ place }) => place.group.kind === 'what comes off');
  return off && fromStart.length > 0 ? [comingOff('the old wiring', null)] : [];
}

function comingOff(of: string, slot: Slot | null): PictureStep {
  return {
    verb: 'picture',
    subject: of,
    about: { kind: 'picture', of, slot, before: 'off' },
    place: { stretch: 'power path', group: { kind: 'what comes off' }, turn: offTurns.picture },
  };
}

/** Of a part that is replaced, as long as it is there. */
function beforeReplacing({ replacements }: JobContext): PictureStep[] {
  return replacements.flatMap(({ slot, pending, pictured }) =>
    pending || pictured ? [comingOff(`${slot} before it came off`, slot)] : [],
  );
}

/** Of a part that covers contacts of its own once it is mounted. */
function beforeHiding({ changes, target }: JobContext): PictureStep[] {
  return changes.flatMap(({ verb, about, place }): PictureStep[] => {
    if (verb !== 'fit' || !target.model(about.slot)?.covers.some(({ by }) => by === 'mount')) return [];
    const of = `${about.slot} before it lies face down`;
    return [
      {
        verb: 'picture',
        subject: of,
        about: { kind: 'picture', of, slot: about.slot, before: 'hidden' },
        place: { ...place, turn: turns.fit - 0.5 },
      },
    ];
  });
}
