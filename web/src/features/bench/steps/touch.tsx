/** One touch of the meter: where the probes go; what a good build shows is said once the answer is given. */
import type { Expectation, Heard, Length, StepOf } from '@junctor/core';
import { anchorsFor, coreVersion, judgeReading, lastReading, probeWords, toneWords } from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { probeHands } from '../../../bench/hands/probeHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { compute } from '../../../compute/compute';
import type { Answer } from '../../../ui/Answers';
import { Tag } from '../../../bench/frame/Tag';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { lengthAnswers } from '../touch/lengthAnswers';
import { ShortScreen } from '../touch/ShortScreen';
import { StopScreen } from '../touch/StopScreen';
import { TouchFacts } from '../touch/TouchFacts';
import { useExpectation } from '../touch/useExpectation';
import type { StepScreen } from './stepScreen';

type TouchStep = StepOf<'touch'>;

/** Probes are taken as held this long where nobody timed them. */
const usualHoldS = 2.5;

export const touch: StepScreen<TouchStep> = {
  hands: (bench, { listed }) => probeHands(bench, listed.touch),
  Screen: TouchScreen,
};

function TouchScreen({ step }: { step: TouchStep }) {
  const { state, job } = useBench();
  const [retry, setRetry] = useState(false);
  const { touch: probes, reason } = step.listed;
  const last = lastReading(state.log, probes, job.id);
  const stopped = step.blockedReason !== null && last?.record.body.reading.verdict === 'stop' && !step.reopenedBy;
  if (!stopped || retry) return <Listening step={step} onJudged={() => setRetry(false)} />;
  const { reading } = last.record.body;
  const short = reason.startsWith('main leads') && reading.heard.length === 'does not stop';
  const Screen = short ? ShortScreen : StopScreen;
  return <Screen step={step} reading={reading} onRetry={() => setRetry(true)} />;
}

function Listening({ step, onJudged }: { step: TouchStep; onJudged: () => void }) {
  const bench = useBench();
  const doors = useDoors();
  const { log, target } = bench.state;
  const { touch: probes, reason } = step.listed;
  const [again, setAgain] = useState<Length | null>(null);
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const before = useExpectation(step);
  const hear = async (length: Length) => {
    const expected = before.data!;
    const anchors = anchorsFor(probes, log, bench.job.id);
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
    const judged: Expectation = { ...expected.expectation, chargeAfterV };
    const verdict = judgeReading(judged, heard);
    const reading = { touch: probes, meterId: bench.meter.id, heard, expected: judged, verdict, coreVersion };
    bench.record([{ saw: 'reading', reading }], step.id);
    onJudged();
  };
  const blocked = before.data ? null : 'Computing what to expect';
  const timed = reason.startsWith('main leads');
  const clock: Answer = {
    key: 'Enter',
    label: startedAt === null ? 'Start the clock' : 'Start again',
    act: () => setStartedAt(performance.now()),
  };
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    ...(timed ? [clock] : []),
    ...lengthAnswers.map(({ key, value, label }): Answer => ({ key, label, blocked, act: () => void hear(value) })),
    { ...whyAnswer(doors), hidden: true },
  ];
  return (
    <JobFrame
      place="Continuity"
      shown={step}
      answers={answers}
      {...probeHands(bench, probes)}
      sentence={
        <>
          {again ? 'Once more: b' : 'B'}lack on <Tag at={probes.black}>{probeWords(probes.black, target)}</Tag>, red on{' '}
          <Tag at={probes.red}>{probeWords(probes.red, target)}</Tag>
        </>
      }
      under={
        again ? (
          <strong role="alert">
            Heard “{toneWords(again)}”, which no good build shows here. Press the tips on bare metal, touch again, then
            answer.
          </strong>
        ) : (
          (step.blockedReason ?? under(reason, timed))
        )
      }
      crossing={
        <TouchFacts
          step={step}
          expectation={before.data?.expectation ?? null}
          startedAt={timed ? startedAt : undefined}
        />
      }
    />
  );
}

function under(reason: string, timed: boolean): string {
  if (timed) return 'Start the clock as the tips touch. Hold 2 to 3 seconds, lift, then say how long it sounded.';
  if (reason === 'first anchor') return 'This tone proves the contact that every silence later stands on.';
  return 'Hold still, listen, answer by key. What a good build shows is said once you have answered.';
}
