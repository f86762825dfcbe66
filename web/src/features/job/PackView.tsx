/** The pack at its plug and the limiter in line: the last things measured before power. */
import type { Step } from '@junctor/core';
import { possible } from '@junctor/core';
import { Fact } from '../../ui/Frame';
import { Checklist } from './Checklist';
import { commonAnswers } from './commonAnswers';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Prompt } from './Prompts';
import { PromptList, Typed, usePrompts } from './Prompts';
import type { Bench } from './useBench';

type Id = 'limiter' | 'polarity' | 'volts';

export function PackView({ bench, step, setMode }: { bench: Bench; step: Step; setMode: SetMode }) {
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
  const common = commonAnswers(bench, setMode).filter(
    ({ key }) => key === '*' || (key === '-' && !('unit' in state.prompt)),
  );
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={[...common, ...state.answers]}
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
