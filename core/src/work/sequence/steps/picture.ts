import { inThisOrder } from '../changeStep';
import { notedOrSkipped } from '../looseParts';
import { offTurns } from '../order';
import type { Draft, StepKind } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

type PictureStep = Draft<'picture', { kind: 'picture'; of: string }>;

/** A picture before something can no longer be seen: what is off already cannot be photographed any more. */
export const picture: StepKind<PictureStep> = {
  plan: (job) => {
    if (!job.changes.some(({ place }) => place.group.kind === 'what comes off')) return [];
    const of = 'the old wiring';
    const drafts: PictureStep[] = [
      {
        verb: 'picture',
        subject: of,
        about: { kind: 'picture', of },
        place: { stretch: 'power path', group: { kind: 'what comes off' }, turn: offTurns.picture },
      },
    ];
    return untilWorkBegins(drafts, job, picture.state);
  },
  state: ({ subject }, job) => notedOrSkipped(job, 'picture', subject, `picture:${subject}`),
  words: ({ about }) => `Take a picture of ${about.of} before anything is opened`,
  why: () => inThisOrder,
  takesS: () => 20,
};
