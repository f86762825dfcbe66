import type { Destination, StepOf } from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import { handOverHands } from '../handOver/handOverHands';
import { plainStep } from './plainStep';

type SendStep = StepOf<'send'>;

const others: readonly { key: string; label: string; to: Destination }[] = [
  { key: '1', label: 'Into our stores', to: 'stock' },
  { key: '2', label: 'Scrap', to: 'scrap' },
];

/** Where a part that came off goes. */
export const send = plainStep<SendStep>({
  hands: handOverHands,
  hint: (_step, { job }) => `It is ${job.customer}’s unless it was bought in or thrown away: said which.`,
  done: (_step, { job }) => `To ${job.customer}`,
  recorded: (step) => [sentTo(step, 'customer')],
  others: (step, bench) =>
    others.map(({ key, label, to }): Answer => ({ key, label, act: () => bench.record([sentTo(step, to)], step.id) })),
});

function sentTo({ about: { act, slot } }: SendStep, to: Destination) {
  return { saw: 'goes', act, slot, to } as const;
}
