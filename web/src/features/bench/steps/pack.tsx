/** The pack at its plug and the limiter in line: the last things measured before power. */
import type { StepOf } from '@junctor/core';
import { possible } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { Checklist } from '../../../bench/hands/Checklist';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { askedAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import type { Prompt } from '../prompts/Prompts';
import { PromptList, Typed, usePrompts } from '../prompts/Prompts';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type Id = 'limiter' | 'polarity' | 'volts';

export const pack: StepScreen<StepOf<'pack'>> = { hands: checklistHands, Screen: PackScreen };

function PackScreen({ step }: { step: StepOf<'pack'> }) {
  const bench = useBench();
  const doors = useDoors();
  const [low, high] = bench.job.plan.cells;
  const prompts: readonly Prompt<Id>[] = [
    {
      id: 'limiter',
      asks: 'Which limiter is in line',
      hint: 'Plugged to the quad’s lead, not to the pack yet.',
      choices: bench.limiters.map(({ id, name }) => ({ value: id, label: name })),
    },
    {
      id: 'polarity',
      asks: 'Polarity at the pack’s plug',
      hint: 'Meter on volts, red on the contact for +.',
      choices: [
        { value: 'right', label: '+ on +' },
        { value: 'reversed', label: 'reversed' },
      ],
    },
    {
      id: 'volts',
      asks: 'Volts of the pack',
      hint: `Between ${(low * 3).toFixed(1)} and ${(high * 4.2).toFixed(1)} V.`,
      unit: 'V',
      possible: possible.packV,
    },
  ];
  const state = usePrompts(prompts, ({ volts, polarity, limiter }) => {
    bench.record(
      [{ saw: 'pack', volts: Number(volts), polarity: polarity as 'right' | 'reversed', limiterId: limiter }],
      step.id,
    );
  });
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={[...askedAnswers(bench, doors, state), ...state.answers]}
      left={{
        title: 'the pack',
        note: `${low === high ? low : `${low} to ${high}`} cells`,
        body: <PromptList prompts={prompts} state={state} />,
      }}
      right={
        'unit' in state.prompt
          ? { title: 'what the meter shows', note: 'type it, then Enter', body: <Typed state={state} /> }
          : { title: 'what must hold', note: 'before limited power', body: <Checklist bench={bench} /> }
      }
      sentence={<strong>{state.prompt.asks}</strong>}
      under={state.problem ?? step.blockedReason ?? state.prompt.hint}
      crossing={
        <>
          <Fact>
            <dt>empty</dt>
            <dd>{(low * 3).toFixed(1)} V</dd>
          </Fact>
          <Fact>
            <dt>full</dt>
            <dd>{(high * 4.2).toFixed(1)} V</dd>
          </Fact>
          <Fact>
            <dt>pack</dt>
            <dd className="long">never short it, never leave it alone</dd>
          </Fact>
        </>
      }
    />
  );
}
