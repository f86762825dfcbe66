/** Prove the meter, then the main leads at rest: without both no reading counts. */
import type { Length, StepOf } from '@junctor/core';
import { mainLeads, possible, poweredV, restLimitV } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { askedAnswers } from '../commonAnswers';
import { ListFacts } from '../touch/ListFacts';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import { lengthAnswers } from '../touch/lengthAnswers';
import type { Prompt } from '../prompts/Prompts';
import { PromptList, Typed, usePrompts } from '../prompts/Prompts';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type Id = 'apart' | 'together' | 'rest';

/** Silent and sounding have the keys that they have at every touch. */
const heard = lengthAnswers.filter(({ value }) => value === 'none' || value === 'does not stop');

const prompts: readonly Prompt<Id>[] = [
  {
    id: 'rest',
    asks: 'Volts across the main leads',
    hint: 'Meter on volts, pack and USB off. Left-over charge fakes every reading.',
    unit: 'V',
    possible: possible.leadsV,
    objection: (value) => (Math.abs(value) < restLimitV ? null : atRestWords(value)),
  },
  {
    id: 'apart',
    asks: 'Tips apart',
    hint: 'Meter on continuity. Hold the tips apart in the air.',
    choices: heard,
  },
  {
    id: 'together',
    asks: 'Tips together',
    hint: 'Press the two tips together.',
    choices: heard,
  },
];

/** Said at once: on continuity these volts would go through the meter. */
function atRestWords(volts: number): string {
  return Math.abs(volts) >= poweredV
    ? `${volts} V on the main leads: it is powered. Pull pack and USB, stay off continuity, then measure again`
    : `${volts} V on the main leads: bleed through 100 Ω to 1 kΩ, wait, then measure again`;
}

export const prove: StepScreen<StepOf<'prove'>> = { hands: checklistHands, Screen: ProveScreen };

/** Here it is read, before the first touch. */
const shown = { label: 'The touches', hidden: false } as const;

function ProveScreen({ step }: { step: StepOf<'prove'> }) {
  const bench = useBench();
  const doors = useDoors();
  const state = usePrompts(prompts, ({ apart, together, rest }) => {
    bench.record(
      [
        {
          saw: 'meter proof',
          meterId: bench.meter.id,
          tipsApart: apart as Length,
          tipsTogether: together as Length,
          restV: Number(rest),
        },
      ],
      step.id,
    );
  });
  const leads = mainLeads(bench.state.target);
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={[
        ...askedAnswers(bench, doors, state).map((answer) => (answer.key === 'l' ? { ...answer, ...shown } : answer)),
        ...state.answers,
      ]}
      left={{
        title: 'the meter',
        note: `${bench.meter.name}; another one is taken up in the stores`,
        body: <PromptList prompts={prompts} state={state} />,
      }}
      right={{
        ...checklistHands(bench).right,
        title: 'main leads',
        note: leads ? 'black on −, red on +' : '',
        ...('unit' in state.prompt ? { body: <Typed state={state} /> } : {}),
      }}
      sentence={<strong>{state.prompt.asks}</strong>}
      under={state.problem ?? step.blockedReason ?? state.prompt.hint}
      crossing={
        <>
          <ListFacts bench={bench} />
          <Fact>
            <dt>limit at rest</dt>
            <dd>{restLimitV * 1000} mV</dd>
          </Fact>
          <Fact>
            <dt>above it</dt>
            <dd className="long">bleed through 100 Ω to 1 kΩ, wait, measure again</dd>
          </Fact>
        </>
      }
    />
  );
}
