import type { StepOf } from '@junctor/core';
import { bundleHand } from '../../../bench/hands/plugHands';
import { effectOf, plainStep } from './plainStep';

/** The contacts of a bundle, one housing in each hand. */
export const lead = plainStep<StepOf<'lead'>>({
  hands: (bench, { subject }) => ({ left: bundleHand(bench, subject, 0), right: bundleHand(bench, subject, 1) }),
  hint: () => 'Both housings: each colour in the position drawn.',
  done: () => 'Order is right',
  recorded: effectOf,
});
