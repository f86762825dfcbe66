import type { StepOf } from '@junctor/core';
import { madeJointHands } from '../../../bench/hands/jointHands';
import { RecipeFacts } from '../RecipeFacts';
import { effectOf, plainStep } from './plainStep';

/** A joint that a look or a reading found wanting. */
export const redo = plainStep<StepOf<'redo'>>({
  hands: (bench, { subject }, options) => madeJointHands(bench, subject, options),
  hint: () => 'Fresh flux, tip clean, short and hot. Let it set without moving.',
  done: () => 'Reworked',
  recorded: effectOf,
  crossing: ({ subject }) => <RecipeFacts joint={subject} />,
});
