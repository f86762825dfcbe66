import { continuityPlace, continuityTurns } from '../continuityPlace';
import type { Draft, StepKind } from '../step';
import { open } from '../step';

type ListStep = Draft<'list', { kind: 'touch list' }>;

/** The touches before first power are being worked out: nobody can do it, and nothing goes past it. */
export const list: StepKind<ListStep> = {
  plan: ({ touches }) =>
    touches.list
      ? []
      : [
          {
            verb: 'list',
            subject: 'touches',
            about: { kind: 'touch list' },
            place: continuityPlace(continuityTurns.touch),
          },
        ],
  state: () => open('Every fault that this wiring can have is being tried on it'),
  words: () => 'Wait for the list of touches',
  why: () => 'what must be touched follows from what can be wrong',
  takesS: () => 30,
};
