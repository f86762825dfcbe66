/** The current step, or what comes before it: a power-up that ended badly, or nothing left to do. */
import { stoppedPower } from '@junctor/core';
import { useState } from 'react';
import { DoneView } from './DoneView';
import type { SetMode } from './mode';
import { PowerStoppedView } from './PowerStoppedView';
import { viewOf } from './stepViews';
import type { Bench } from './useBench';

export function StepView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const step = bench.state.current;
  const stopped = stoppedPower({ log: bench.state.log, jobId: bench.job.id });
  const [left, setLeft] = useState<string | null>(null);
  if (step && stopped && left !== stopped.power.record.id) {
    const leave = () => setLeft(stopped.power.record.id);
    return <PowerStoppedView bench={bench} step={step} stopped={stopped} setMode={setMode} onLeave={leave} />;
  }
  if (!step) return <DoneView bench={bench} setMode={setMode} />;
  const View = viewOf(step);
  return <View key={step.id} bench={bench} step={step} setMode={setMode} />;
}
