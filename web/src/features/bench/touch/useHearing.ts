/** One answer of the meter: judged against what was expected; a surprise is asked for again before it is kept. */
import type { Expectation, Heard, StepOf } from '@junctor/core';
import { anchorsFor, coreVersion, judgeReading } from '@junctor/core';
import { useState } from 'react';
import { useBench } from '../../../bench/provider/useBench';
import { compute } from '../../../compute/compute';
import { useExpectation } from './useExpectation';

export type Said = Pick<Heard, 'length' | 'value' | 'open' | 'unit'>;

/** Probes are taken as held this long where nobody timed them. */
const usualHoldS = 2.5;

export interface Hearing {
  expectation: Expectation | null;
  /** What surprised, and is asked for once more. */
  again: Said | null;
  /** When the tips touched, where that is timed. */
  startedAt: number | null;
  start: () => void;
  hear: (said: Said) => Promise<void>;
}

export function useHearing(step: StepOf<'touch'>, onJudged: () => void): Hearing {
  const bench = useBench();
  const [again, setAgain] = useState<Said | null>(null);
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const before = useExpectation(step);
  const { touch, across } = step.listed;
  const hear = async (said: Said) => {
    const expected = before.data!;
    const anchors = anchorsFor(touch, bench.state.log, bench.job.id);
    const heldMs = startedAt === null ? null : Math.round(performance.now() - startedAt);
    const isSilence = said.length === 'none' || said.open === true;
    const heard: Heard = { ...said, heldMs, by: 'key', wrong: isSilence ? 0.03 : 0.005, anchors };
    const surprise = judgeReading(expected.expectation, heard) === 'stop';
    const shortAcross = across !== null && said.length === 'does not stop';
    if (surprise && !shortAcross && !(again && isSame(again, said))) {
      setAgain(said);
      setStartedAt(null);
      return;
    }
    const chargeAfterV = await compute().chargeLeft({
      ...expected.request,
      heldS: heldMs === null ? usualHoldS : heldMs / 1000,
    });
    const judged: Expectation = { ...expected.expectation, chargeAfterV };
    const verdict = judgeReading(judged, heard);
    const reading = { touch, meterId: bench.meter.id, heard, expected: judged, verdict, coreVersion };
    bench.record([{ saw: 'reading', reading }], step.id);
    onJudged();
  };
  return {
    expectation: before.data?.expectation ?? null,
    again,
    startedAt,
    start: () => setStartedAt(performance.now()),
    hear,
  };
}

/** Two numbers of one touch that a hand can tell apart no further. */
const sameWithinV = 0.05;

function isSame(one: Said, other: Said): boolean {
  if (one.value !== undefined && other.value !== undefined) return Math.abs(one.value - other.value) <= sameWithinV;
  return one.length === other.length && one.open === other.open;
}
