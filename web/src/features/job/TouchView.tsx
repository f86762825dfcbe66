/** One touch of the meter: where the probes go, what a good build must show, what was heard. */
import type { Expectation, Heard, Length, Step, TouchReason } from '@junctor/core';
import { anchorsFor, chargeBefore, coreVersion, judgeReading, lastReading, terminalWords } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { compute } from '../../compute/compute';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { Plate } from '../../ui/Plate';
import { commonAnswers, whyAnswer } from './commonAnswers';
import { handsFor } from './hands';
import { lengthAnswers, word } from './lengthWord';
import { HoldClock } from './HoldClock';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { ShortView } from './ShortView';
import { StopView } from './StopView';
import type { Bench } from './useBench';

export type TouchStep = Extract<Step, { verb: 'touch' }>;

/** Probes are taken as held this long where nobody timed them. */
const usualHoldS = 2.5;

export function TouchView({ bench, step, setMode }: { bench: Bench; step: TouchStep; setMode: SetMode }) {
  const { log } = bench.state;
  const { touch, reason } = step.listed;
  const [again, setAgain] = useState<Length | null>(null);
  const [retry, setRetry] = useState(false);
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const last = lastReading(log, touch, bench.job.id);
  const stopped = step.blockedReason !== null && last?.record.body.reading.verdict === 'stop' && !step.reopenedBy;
  const before = useExpectation(bench, step);
  if (stopped && !retry) {
    const { reading } = last.record.body;
    const short = reason.startsWith('main leads') && reading.heard.length === 'does not stop';
    const View = short ? ShortView : StopView;
    return <View bench={bench} step={step} reading={reading} setMode={setMode} onRetry={() => setRetry(true)} />;
  }
  const hear = async (length: Length) => {
    const expected = before.data!;
    const anchors = anchorsFor(touch, log, bench.job.id);
    const heldMs = startedAt === null ? null : Math.round(performance.now() - startedAt);
    const heard: Heard = { length, heldMs, by: 'key', wrong: length === 'none' ? 0.03 : 0.005, anchors };
    const surprise = judgeReading(expected.expectation, heard) === 'stop';
    const shortAcross = reason.startsWith('main leads') && length === 'does not stop';
    if (surprise && again !== length && !shortAcross) {
      setAgain(length);
      setStartedAt(null);
      return;
    }
    const chargeAfterV = await compute().chargeLeft({
      ...expected.request,
      heldS: heldMs === null ? usualHoldS : heldMs / 1000,
    });
    const judged = { ...expected.expectation, chargeAfterV };
    bench.record(
      [
        {
          saw: 'reading',
          reading: {
            touch,
            meterId: bench.meter.id,
            heard,
            expected: judged,
            verdict: judgeReading(judged, heard),
            coreVersion,
          },
        },
      ],
      step.id,
    );
    setAgain(null);
    setRetry(false);
  };
  const blocked = before.data ? null : 'Computing what to expect';
  const timed = reason.startsWith('main leads');
  const answers: Answer[] = [
    ...commonAnswers(bench, setMode),
    ...(timed
      ? [
          {
            key: 'Enter',
            label: startedAt === null ? 'Start the clock' : 'Start again',
            act: () => setStartedAt(performance.now()),
          },
        ]
      : []),
    ...lengthAnswers.map(({ key, value, label }): Answer => ({ key, label, blocked, act: () => void hear(value) })),
    { ...whyAnswer(setMode), hidden: true },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={answers}
      {...handsFor(bench, step)}
      sentence={
        <>
          {again ? 'Once more: b' : 'B'}lack on <Plate>{terminalWords(touch.black, bench.state.target)}</Plate>, red on{' '}
          <Plate>{terminalWords(touch.red, bench.state.target)}</Plate>
        </>
      }
      under={
        again ? (
          <strong role="alert">
            Heard “{word(again)}”, which no good build shows here. Press the tips on bare metal, touch again, then
            answer.
          </strong>
        ) : (
          (step.blockedReason ?? under(reason, timed))
        )
      }
      crossing={
        <Expected
          expectation={before.data?.expectation ?? null}
          timed={timed}
          startedAt={startedAt}
          bench={bench}
          reason={reason}
        />
      }
    />
  );
}

/**
 * Computed off the page, from the plan's wiring, the parts' insides, the meter's card and the charge left by earlier
 * touches.
 */
function useExpectation(bench: Bench, step: TouchStep) {
  const { touch } = step.listed;
  const { plan } = bench.job;
  const seq = bench.records.length;
  return useQuery({
    queryKey: ['expectation', bench.job.id, plan.version, step.id, seq],
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async (): Promise<{
      expectation: Expectation;
      request: Parameters<ReturnType<typeof compute>['expectation']>[0];
    }> => {
      const { chargeV, pauseS } = chargeBefore(bench.state.log, new Date().toISOString());
      const request = {
        models: bench.catalogue.models,
        target: plan.target,
        touch,
        meter: bench.meter,
        chargeV,
        pauseS,
      };
      return { expectation: await compute().expectation(request), request };
    },
  });
}

function Expected({
  expectation,
  timed,
  startedAt,
  bench,
  reason,
}: {
  expectation: Expectation | null;
  timed: boolean;
  startedAt: number | null;
  bench: Bench;
  reason: TouchReason;
}) {
  const place = bench.state.steps.filter(({ verb }) => verb === 'touch');
  return (
    <>
      <Fact>
        <dt>a good build shows</dt>
        <dd data-testid="expected">{expectation ? expectation.passes.map(word).join(' or ') : 'computing'}</dd>
      </Fact>
      <Fact>
        <dt>rules out</dt>
        <dd className="long">{rulesOut[reason]}</dd>
      </Fact>
      <Fact>
        <dt>touch</dt>
        <dd>
          {place.findIndex(({ id }) => id === bench.state.current?.id) + 1} of {place.length}
        </dd>
      </Fact>
      {timed && <HoldClock startedAt={startedAt} first={reason === 'main leads'} heldFirstMs={firstHeldMs(bench)} />}
    </>
  );
}

/** How long the first main-lead touch was held, or null. */
function firstHeldMs(bench: Bench): number | null {
  const first = bench.state.steps.find(
    (step): step is TouchStep => step.verb === 'touch' && step.listed.reason === 'main leads',
  );
  return first
    ? (lastReading(bench.state.log, first.listed.touch, bench.job.id)?.record.body.reading.heard.heldMs ?? null)
    : null;
}

const rulesOut: Readonly<Record<TouchReason, string>> = {
  'first anchor': 'a lead that is open or reversed',
  'main leads': 'a short across the pack',
  'main leads exchanged': 'a short across the pack, a capacitor left out',
  ground: 'a ground that is open',
  'wire end to end': 'a cold joint, a wire on another pad',
  'same net': 'a probe without contact',
  'rail to ground': 'a bridged or dead rail',
  'sister phase': 'a cold joint, enamel in the bundle',
  'phase to rail': 'a bridge, a shorted transistor',
  neighbours: 'a bridge of solder',
};

function under(reason: string, timed: boolean): string {
  if (timed) return 'Start the clock as the tips touch. Hold 2 to 3 seconds, lift, then say how long it sounded.';
  if (reason === 'first anchor') return 'This tone proves the contact that every silence later stands on.';
  return 'Hold still, listen, answer by key. Expected is what the wiring and the parts’ insides give.';
}
