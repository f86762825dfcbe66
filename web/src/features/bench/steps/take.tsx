import type { Act, StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { asBuiltBench } from '../../../bench/hands/hands';
import { partHands } from '../../../bench/hands/partHands';
import type { Answer } from '../../../ui/Answers';
import { plainStep } from './plainStep';

type To = Extract<Act, { do: 'take off' }>['to'];
type TakeStep = StepOf<'take'>;

const others: readonly { key: string; label: string; to: To }[] = [
  { key: '1', label: 'On its card', to: 'bench' },
  { key: '2', label: 'Bought in', to: 'stock' },
  { key: '3', label: 'Scrap', to: 'scrap' },
];

/** A part comes off: the customer’s unless said otherwise. */
export const take = plainStep<TakeStep>({
  hands: (bench, { subject }) =>
    subject in bench.state.asBuilt.build.slots ? partHands(asBuiltBench(bench), subject) : checklistHands(bench),
  hint: (_step, { job }) =>
    `Enter: it stays ${job.customer}’s. On its card: it stays with the quad. Bought in: it goes into our stores.`,
  done: ({ subject }, { job }) => `${subject} is off: ${job.customer}’s`,
  recorded: (step) => takenTo(step, 'customer'),
  others: (step, bench) =>
    others.map(({ key, label, to }): Answer => ({ key, label, act: () => bench.record(takenTo(step, to), step.id) })),
});

function takenTo({ effect }: TakeStep, to: To): readonly Act[] {
  return effect.map((act) => (act.do === 'take off' ? { ...act, to } : act));
}
