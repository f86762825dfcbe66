/** A part on the scale while it is loose: narrows what the finished quad must weigh. */
import type { Step } from '@junctor/core';
import { possible, stepWords } from '@junctor/core';
import { Fact } from '../../ui/Frame';
import { commonAnswers, notNow } from './commonAnswers';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { Typed, usePrompts } from './Prompts';
import type { Bench } from './useBench';

export function WeighView({
  bench,
  step,
  setMode,
}: {
  bench: Bench;
  step: Step & { verb: 'weigh' | 'sign' };
  setMode: SetMode;
}) {
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
  const common = commonAnswers(bench, setMode).filter(({ key }) => key === '*');
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={[...common, notNow(bench, step), ...state.answers]}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={
        state.problem ?? 'Parts spread 3 to 10 % around their sheet; a weighed part narrows what the quad must weigh.'
      }
      left={handsFor(bench, { ...step, verb: 'fit', effect: [] }).left}
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
