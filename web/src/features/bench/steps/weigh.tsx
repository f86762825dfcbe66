/** A part on the scale while it is loose: narrows what the finished quad must weigh. */
import type { StepOf } from '@junctor/core';
import { possible, stepWords } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { askedAnswers, notNow } from '../commonAnswers';
import { partHand, partHands } from '../../../bench/hands/partHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import { Typed, usePrompts } from '../prompts/Prompts';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export const weigh: StepScreen<StepOf<'weigh'>> = {
  hands: (bench, { subject }) => partHands(bench, subject),
  Screen: WeighScreen,
};

function WeighScreen({ step }: { step: StepOf<'weigh'> }) {
  const bench = useBench();
  const doors = useDoors();
  const model = bench.state.target.model(step.subject)!;
  const state = usePrompts(
    [
      {
        id: 'grams',
        asks: 'What does the scale show',
        hint: 'With its own leads, without screws.',
        unit: 'g',
        possible: possible.partG,
      },
    ],
    ({ grams }) => {
      bench.record([{ saw: 'weight', what: step.subject, grams: Number(grams) }], step.id);
    },
  );
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={[...askedAnswers(bench, doors, state), notNow(bench, step), ...state.answers]}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={
        state.problem ?? 'Parts spread 3 to 10 % around their sheet; a weighed part narrows what the quad must weigh.'
      }
      left={partHand(bench, step.subject)}
      right={{ title: 'what the scale shows', note: 'type it, then Enter', body: <Typed state={state} /> }}
      crossing={
        <>
          <Fact>
            <dt>catalogue says</dt>
            <dd>{model.massG} g</dd>
          </Fact>
          <Fact>
            <dt>part</dt>
            <dd className="long">{model.name}</dd>
          </Fact>
        </>
      }
    />
  );
}
