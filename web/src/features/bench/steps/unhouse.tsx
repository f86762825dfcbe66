import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { effectOf, plainStep } from './plainStep';

export const unhouse = plainStep<StepOf<'unhouse'>>({
  hands: checklistHands,
  hint: () => 'Lift each latch, pull by the contact, never by the wire.',
  done: () => 'Done',
  recorded: effectOf,
});
