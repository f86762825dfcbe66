import type { Act, StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { asBuiltBench } from '../../../bench/hands/hands';
import { partHands } from '../../../bench/hands/partHands';
import type { Answer } from '../../../ui/Answers';
import { PictureBefore } from '../PictureBefore';
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
  hint: (step, { job }) =>
    decided(step)
      ? 'Where it goes was said when it was decided.'
      : `Enter: it stays ${job.customer}’s. On its card: it stays with the quad. Bought in: it goes into our stores.`,
  done: (step, { job }) => (decided(step) ? `${step.subject} is off` : `${step.subject} is off: ${job.customer}’s`),
  crossing: ({ subject }) => <PictureBefore slots={[subject]} />,
  recorded: (step) => (decided(step) ? step.effect : takenTo(step, 'customer')),
  others: (step, bench) =>
    (decided(step) ? [] : others).map(({ key, label, to }): Answer => ({
      key,
      label,
      act: () => bench.record(takenTo(step, to), step.id),
    })),
});

/** Of a part that is replaced it was said before where the old one goes. */
function decided({ effect }: TakeStep): boolean {
  return effect.some((act) => act.do === 'take off' && act.to !== 'bench');
}

function takenTo({ effect }: TakeStep, to: To): readonly Act[] {
  return effect.map((act) => (act.do === 'take off' ? { ...act, to } : act));
}
