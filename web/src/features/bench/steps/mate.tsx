import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { mateHands } from '../../../bench/hands/plugHands';
import { effectOf, plainStep } from './plainStep';

/** A plug is pushed home. */
export const mate = plainStep<StepOf<'mate'>>({
  hands: (bench, { subject }) => mateHands(bench, subject) ?? checklistHands(bench),
  hint: () => 'Never force it. Look once more that + and − are not one position off.',
  done: () => 'It clicked: home',
  recorded: effectOf,
});
