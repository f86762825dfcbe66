import type { StepOf } from '@junctor/core';
import { handOverHands } from '../handOver/handOverHands';
import { plainStep } from './plainStep';

/** The quad and its sheet go to the customer. */
export const hand = plainStep<StepOf<'hand'>>({
  hands: handOverHands,
  hint: () => 'The sheet says what was done, read and replaced, what to watch, and what is left open.',
  done: (_step, { job }) => `Handed over to ${job.customer}`,
  recorded: (_step, { job }) => [{ saw: 'handed over', to: job.customer }],
  others: (_step, _bench, { places, open }) => [{ key: '5', label: 'The sheet', act: () => open(places.sheet) }],
});
