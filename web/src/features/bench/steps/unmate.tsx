import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { asBuiltBench } from '../../../bench/hands/hands';
import { mateHands } from '../../../bench/hands/plugHands';
import { effectOf, plainStep } from './plainStep';

/** A plug of the old wiring is pulled. */
export const unmate = plainStep<StepOf<'unmate'>>({
  hands: (bench, { subject }) => mateHands(asBuiltBench(bench), subject) ?? checklistHands(bench),
  hint: () => 'Pack off, USB off, stored charge bled. By the housing, never by the wires.',
  done: () => 'Pulled',
  recorded: effectOf,
});
