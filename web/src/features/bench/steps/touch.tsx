/** One touch of the meter: where the probes go; what a good build shows is said once the answer is given. */
import type { Assembly, ListedTouch, StepOf } from '@junctor/core';
import { capital, heardWords, lastReading, modeWords, plugWords, possible, probeWords } from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { probeHands } from '../../../bench/hands/probeHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { Tag } from '../../../bench/frame/Tag';
import { askedAnswers, commonAnswers, whyAnswer } from '../commonAnswers';
import type { Prompt } from '../prompts/Prompts';
import { usePrompts } from '../prompts/Prompts';
import { lengthAnswers } from '../touch/lengthAnswers';
import { ShortScreen } from '../touch/ShortScreen';
import { StopScreen } from '../touch/StopScreen';
import { TouchFacts } from '../touch/TouchFacts';
import type { Hearing } from '../touch/useHearing';
import { useHearing } from '../touch/useHearing';
import type { StepScreen } from './stepScreen';

type TouchStep = StepOf<'touch'>;

export const touch: StepScreen<TouchStep> = {
  hands: (bench, { listed }) => probeHands(bench, listed.touch),
  Screen: TouchScreen,
};

function TouchScreen({ step }: { step: TouchStep }) {
  const { state, job } = useBench();
  const [retry, setRetry] = useState(false);
  const { touch: probes, across } = step.listed;
  const last = lastReading(state.log, probes, job.id);
  const stopped = step.blockedReason !== null && last?.record.body.reading.verdict === 'stop' && !step.reopenedBy;
  if (stopped && !retry) {
    const { reading } = last.record.body;
    const short = across !== null && reading.heard.length === 'does not stop';
    const Screen = short ? ShortScreen : StopScreen;
    return <Screen step={step} reading={reading} onRetry={() => setRetry(true)} />;
  }
  return <Listening key={step.id} step={step} onJudged={() => setRetry(false)} />;
}

function Listening({ step, onJudged }: { step: TouchStep; onJudged: () => void }) {
  const hearing = useHearing(step, onJudged);
  const Asking = step.listed.touch.mode === 'tone' ? ToneAsked : NumberAsked;
  return <Asking step={step} hearing={hearing} />;
}

interface AskingProps {
  step: TouchStep;
  hearing: Hearing;
}

function ToneAsked({ step, hearing }: AskingProps) {
  const bench = useBench();
  const doors = useDoors();
  const { expectation, startedAt, start, hear } = hearing;
  const blocked = expectation ? null : 'Computing what to expect';
  const clock: Answer = { key: 'Enter', label: startedAt === null ? 'Start the clock' : 'Start again', act: start };
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    ...(step.listed.across ? [clock] : []),
    ...lengthAnswers.map(({ key, value, label }): Answer => ({
      key,
      label,
      blocked,
      act: () => void hear({ length: value }),
    })),
    { ...whyAnswer(doors), hidden: true },
  ];
  return <TouchFrame step={step} hearing={hearing} answers={answers} problem={null} typed={null} />;
}

const volts: Prompt<'heard'> = {
  id: 'heard',
  asks: 'The meter shows',
  hint: 'Meter on diode volts. Hold until it settles, then type what it shows.',
  unit: 'V',
  possible: possible.leadsV,
  open: 'no number: open',
};

const ohms: Prompt<'heard'> = {
  id: 'heard',
  asks: 'The meter shows',
  hint: 'Meter on ohms. Hold until it settles, then type what it shows.',
  unit: 'ohm',
  possible: possible.ohms,
  open: 'no number: open',
};

function NumberAsked({ step, hearing }: AskingProps) {
  const bench = useBench();
  const doors = useDoors();
  const unit = unitOf(step.listed);
  const state = usePrompts([numberOf(step.listed)], ({ heard }) => {
    if (!hearing.expectation) return;
    void hearing.hear(heard === 'open' ? { open: true, unit } : { value: Number(heard), unit });
  });
  const blocked = hearing.expectation ? null : 'Computing what to expect';
  const own = state.answers.map((answer) => (answer.main || answer.key === 'o' ? { ...answer, blocked } : answer));
  const answers = [...askedAnswers(bench, doors, state), ...own];
  return <TouchFrame step={step} hearing={hearing} answers={answers} problem={state.problem} typed={state.typed} />;
}

interface TouchFrameProps extends AskingProps {
  answers: readonly Answer[];
  /** Why a number was not taken. */
  problem: string | null;
  /** The number so far; null where none is asked for. */
  typed: string | null;
}

function TouchFrame({ step, hearing: { expectation, again, startedAt }, answers, problem, typed }: TouchFrameProps) {
  const bench = useBench();
  const { target } = bench.state;
  const { touch: probes, across } = step.listed;
  const places = (
    <>
      lack on <Tag at={probes.black}>{probeWords(probes.black, target)}</Tag>, red on{' '}
      <Tag at={probes.red}>{probeWords(probes.red, target)}</Tag>
    </>
  );
  return (
    <JobFrame
      place="Continuity"
      shown={step}
      answers={answers}
      {...probeHands(bench, probes)}
      sentence={
        <>
          {beginning(step.listed, again !== null)}
          {places}
        </>
      }
      under={
        again ? (
          <strong role="alert">
            {`Heard “${heardWords(again)}”, which no good build shows here. Press the tips on bare metal, touch again, then answer.`}
          </strong>
        ) : (
          (problem ?? step.blockedReason ?? under(step, target))
        )
      }
      crossing={
        <>
          {typed !== null && (
            <Fact>
              <dt>the meter shows</dt>
              <dd data-testid="typed">
                {typed || '…'} {unitOf(step.listed)}
              </dd>
            </Fact>
          )}
          <TouchFacts step={step} expectation={expectation} startedAt={across ? startedAt : undefined} />
        </>
      }
    />
  );
}

/** What is asked of a touch that is no tone. */
function numberOf({ touch: { mode } }: ListedTouch): Prompt<'heard'> {
  return mode === 'ohms' ? ohms : volts;
}

function unitOf({ touch: { mode } }: ListedTouch): 'ohm' | 'V' {
  return mode === 'ohms' ? 'ohm' : 'V';
}

/** Before "lack on": the mode is said where it is not the usual one. */
function beginning({ touch: { mode } }: ListedTouch, isAgain: boolean): string {
  const words = [isAgain ? 'once more' : '', mode === 'tone' ? '' : modeWords[mode]].filter(Boolean).join(', ');
  return words ? capital(`${words}: b`) : 'B';
}

function under({ listed, withApart }: TouchStep, target: Assembly): string {
  const { touch, across, good } = listed;
  if (across) return 'Start the clock as the tips touch. Hold 2 to 3 seconds, lift, then say how long it sounded.';
  if (withApart !== null)
    return `Plug ${plugWords(withApart, target)} stays apart for this. Hold until it settles, then say what it shows.`;
  if (touch.mode !== 'tone') return numberOf(listed).hint;
  if (good === 'sounds') return 'This tone proves its copper and the contact that every silence on it stands on.';
  return 'Hold still, listen, answer by key. What a good build shows is said once you have answered.';
}
