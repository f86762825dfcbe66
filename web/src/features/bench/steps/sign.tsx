/** The signature of a loose part: a few touches, each answered as heard, kept together. */
import type { Length, LooseReading, Note, PartModel, StepOf } from '@junctor/core';
import {
  bandWords,
  enumerated,
  expectationSchoolOf,
  faultWords,
  judgeLoose,
  passesWords,
  possible,
  slotTitle,
  toneWords,
} from '@junctor/core';
import { useEffect, useState } from 'react';
import { compute } from '../../../compute/compute';
import { Board } from '../../../drawing/Board';
import { isBoard } from '../../../bench/hands/jointHands';
import { leadsHand } from '../../../bench/hands/leadsHand';
import type { Bench } from '../../../bench/provider/bench';
import type { Hand } from '../../../ui/Frame';
import { Fact } from '../../../ui/Frame';
import { Notice } from '../../../ui/Notice';
import { askedAnswers, countedPart, notNow } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { partHands } from '../../../bench/hands/partHands';
import type { StepScreen } from './stepScreen';
import { ListAwaited } from '../touch/ListAwaited';
import { lengthAnswers } from '../touch/lengthAnswers';
import type { Prompt } from '../prompts/Prompts';
import { PromptList, Typed, usePrompts } from '../prompts/Prompts';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type SignStep = StepOf<'sign'>;

export const sign: StepScreen<SignStep> = {
  hands: (bench, { subject }) => partHands(bench, subject),
  Screen: SignScreen,
};

function SignScreen({ step }: { step: SignStep }) {
  const bench = useBench();
  const model = bench.state.target.model(step.subject)!;
  const { meter } = bench;
  const isListed = bench.state.touches.list !== null;
  const [readings, setReadings] = useState<readonly LooseReading[] | null>(null);
  useEffect(() => {
    if (isListed)
      void compute()
        .loose(model, meter, step.loose)
        .then((found) => setReadings(found));
    // The step is made anew with every record; what it asks for stays.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [model, meter, isListed, step.subject]);
  if (!isListed) return <ListAwaited step={step} answers={[notNow(bench, step)]} />;
  if (!readings) return <Notice title="Computing the signature">One moment.</Notice>;
  return <Asked step={step} model={model} readings={readings} />;
}

interface AskedProps {
  step: SignStep;
  model: PartModel;
  readings: readonly LooseReading[];
}

function Asked({ step, model, readings }: AskedProps) {
  const bench = useBench();
  const doors = useDoors();
  const prompts = readings.map(({ mode, black, red, why, expected }, index): Prompt<string> => {
    const asks = `Black on ${black.printed}, red on ${red.printed}`;
    return mode === 'tone'
      ? { id: String(index), asks, hint: `Tone: ${why}.`, choices: lengthAnswers }
      : {
          id: String(index),
          asks,
          hint: `${mode === 'ohms' ? 'Ohms' : 'Diode'}: ${why}. Hold until it settles.`,
          ...(mode === 'ohms'
            ? { unit: 'Ω', possible: possible.ohms, typical: expected.band ?? undefined }
            : { unit: 'V', possible: possible.diodeV, open: 'no number' }),
        };
  });
  const state = usePrompts(prompts, (given) =>
    bench.record([signatureOf(step.subject, countedPart(bench, step.subject), readings, given)], step.id),
  );
  const now = readings[state.index]!;
  const before = readings[state.index - 1];
  const shown = expectationSchoolOf(bench.job.plan.schools) === 'before the answer';
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={[...askedAnswers(bench, doors, state), notNow(bench, step), ...state.answers]}
      sentence={
        <>
          <strong>{state.prompt.asks}</strong>,{' '}
          {step.about.leadsOff
            ? `leads of ${step.subject} off`
            : `loose ${slotTitle(step.subject, bench.state.target)}`}
        </>
      }
      under={state.problem ?? (state.index === 0 ? step.blockedReason : null) ?? state.prompt.hint}
      left={isBoard(model) ? looseBoard(bench, step, model, now) : leadsHand(bench, step.subject, null)}
      crossing={
        <>
          <Fact>
            <dt>{now.shows ? 'only now it would show' : now.mode}</dt>
            <dd className="long">{now.shows ? shownWords(bench, step, now) : now.why}</dd>
          </Fact>
          <Fact>
            <dt>a typical part</dt>
            <dd className="long" data-testid="expected">
              {shown ? typicalWords(now) : 'said after your answer'}
            </dd>
          </Fact>
          {before && (
            <Fact>
              <dt>last: typical {typicalWords(before)}</dt>
              <dd className="long">you said {saidWords(before, state.given[String(state.index - 1)]!)}</dd>
            </Fact>
          )}
        </>
      }
      right={
        'unit' in state.prompt
          ? { title: 'what the meter shows', note: 'type it, then Enter', body: <Typed state={state} /> }
          : {
              title: 'its signature',
              note: `${readings.length} touches`,
              body: (
                <PromptList
                  prompts={prompts.slice(Math.max(0, state.index - 3), state.index + 6)}
                  state={{ ...state, index: Math.min(3, state.index) }}
                />
              ),
            }
      }
    />
  );
}

function looseBoard(bench: Bench, { subject }: SignStep, model: PartModel, { black, red }: LooseReading): Hand {
  return {
    title: `${slotTitle(subject, bench.state.target)}, loose`,
    note: model.name,
    body: (
      <Board
        slot={subject}
        model={model}
        side={red.sides[0]!}
        marks={new Map()}
        rings={[black.id, red.id]}
        tags={{ [black.id]: 'black', [red.id]: 'red' }}
      />
    ),
  };
}

/** Faults that only this reading of the loose part would show. */
function shownWords({ state }: Bench, { loose }: SignStep, { black, red }: LooseReading): string {
  const shows = loose.find((one) => one.black === black.id && one.red === red.id)?.shows ?? [];
  return enumerated(
    shows.map((place) => faultWords(state.touches.list!.faults[place]!, state.target)),
    2,
  );
}

/** What a typical part shows. */
function typicalWords({ expected, mode }: LooseReading): string {
  return expected.band ? bandWords(expected.band, mode) : passesWords(expected.passes);
}

function saidWords({ mode }: LooseReading, given: string): string {
  if (mode === 'tone') return toneWords(given as Length);
  if (given === 'open') return 'no number';
  return `${given} ${mode === 'ohms' ? 'Ω' : 'V'}`;
}

function heardOf(mode: LooseReading['mode'], given: string): Parameters<typeof judgeLoose>[1] {
  if (mode === 'tone') return { length: given as Length, value: null };
  return given === 'open' ? { length: null, value: null, open: true } : { length: null, value: Number(given) };
}

function signatureOf(
  slot: string,
  part: string | null,
  readings: readonly LooseReading[],
  given: Readonly<Record<string, string>>,
): Note {
  return {
    saw: 'signature',
    slot,
    part,
    readings: readings.map((reading, index) => {
      const { black, red, mode, expected } = reading;
      const heard = heardOf(mode, given[String(index)]!);
      return {
        black: black.id,
        red: red.id,
        mode,
        ...heard,
        passes: expected.passes,
        band: expected.band,
        verdict: judgeLoose(reading, heard),
      };
    }),
  };
}
