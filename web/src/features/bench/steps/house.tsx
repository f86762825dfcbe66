import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { effectOf, plainStep } from './plainStep';

export const house = plainStep<StepOf<'house'>>({
  hands: checklistHands,
  hint: () => 'Latch up, the right way round: each contact clicks home and holds a gentle pull.',
  done: () => 'Done',
  recorded: effectOf,
});
