/** A part or the whole quad on the scale: narrows or proves what the finished quad must weigh. */
import type { Range, StepOf } from '@junctor/core';
import { balanceOf, notesOf, possible, stepWords, weighedIn } from '@junctor/core';
import { BigLines } from '../../../ui/BigLines';
import type { Hand } from '../../../ui/Frame';
import { Fact } from '../../../ui/Frame';
import { askedAnswers, notNow } from '../commonAnswers';
import { partHand, partHands } from '../../../bench/hands/partHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { handOverHands } from '../handOver/handOverHands';
import type { StepScreen } from './stepScreen';
import { Typed, usePrompts } from '../prompts/Prompts';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type WeighStep = StepOf<'weigh'>;

export const weigh: StepScreen<WeighStep> = {
  hands: (bench, { about, subject }) =>
    about.kind === 'slot' ? partHands(bench, subject) : { ...handOverHands(bench), left: weightsHand(bench) },
  Screen: WeighScreen,
};

function WeighScreen({ step }: { step: WeighStep }) {
  const bench = useBench();
  const doors = useDoors();
  const craft = step.about.kind === 'craft';
  const model = craft ? null : bench.state.target.model(step.subject)!;
  const state = usePrompts(
    [
      {
        id: 'grams',
        asks: 'What does the scale show',
        hint: craft ? 'As it flies, propellers beside it.' : 'With its own leads, without screws.',
        unit: 'g',
        possible: craft ? possible.craftG : possible.partG,
        ...(step.subject === 'dry' ? { doubt: (grams) => offTheBand(grams, dryBand(bench)) } : {}),
      },
    ],
    ({ grams }) => {
      bench.record([{ saw: 'weight', what: step.subject, grams: Number(grams) }], step.id);
    },
  );
  const under = craft
    ? 'A difference beyond the band points to a forgotten part.'
    : 'Parts spread 3 to 10 % around their sheet; a weighed part narrows what the quad must weigh.';
  return (
    <JobFrame
      place={craft ? 'Hand-over' : 'Bench'}
      shown={step}
      answers={[...askedAnswers(bench, doors, state), notNow(bench, step), ...state.answers]}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={state.problem ?? under}
      left={craft ? weightsHand(bench) : partHand(bench, step.subject)}
      right={{ title: 'what the scale shows', note: 'type it, then Enter', body: <Typed state={state} /> }}
      crossing={
        model ? (
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
        ) : (
          <Fact>
            <dt>before the work</dt>
            <dd className="long">{before(bench, step.subject) ?? 'not weighed'}</dd>
          </Fact>
        )
      }
    />
  );
}

/** What it must weigh by its parts, and what it weighed before. */
function weightsHand(bench: Bench): Hand {
  const [low, high] = dryBand(bench);
  const weighed = ['dry', 'with pack', 'with propellers'].flatMap((what) => {
    const grams = before(bench, what);
    return grams ? [`${what}: ${grams}`] : [];
  });
  return {
    title: 'what it should weigh',
    note: 'by its parts, wire and solder',
    body: (
      <BigLines label="What it should weigh" lines={[`dry: ${low.toFixed(0)} to ${high.toFixed(0)} g`, ...weighed]} />
    ),
  };
}

function dryBand({ state: { log, target } }: Bench): Range {
  return balanceOf(target, weighedIn(log)).g;
}

/** Of a scale that says otherwise than the parts; null while it lies in the band. */
function offTheBand(grams: number, [low, high]: Range): string | null {
  if (grams < low) return `${Math.ceil(low - grams)} g less than its parts: is something not in it?`;
  return grams > high
    ? `${Math.ceil(grams - high)} g more than its parts: does something else lie on the scale?`
    : null;
}

/** The newest weight before this one, in words. */
function before({ state: { log } }: Bench, what: string): string | null {
  const last = notesOf(log, 'weight').findLast(({ record }) => record.body.what === what);
  return last ? `${last.record.body.grams} g` : null;
}
