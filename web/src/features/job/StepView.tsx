/** The current step, by what kind of work it is. */
import { splitJoint, stoppedPower } from '@junctor/core';
import { useState } from 'react';
import { CountView } from './CountView';
import { DoneView } from './DoneView';
import { FreeView } from './FreeView';
import { LandView } from './LandView';
import { LookView } from './LookView';
import type { SetMode } from './mode';
import { PackView } from './PackView';
import { PermitView } from './PermitView';
import { PictureView } from './PictureView';
import { PowerStoppedView } from './PowerStoppedView';
import { PowerView } from './PowerView';
import { ProveView } from './ProveView';
import { SignView } from './SignView';
import { TouchView } from './TouchView';
import type { Bench } from './useBench';
import { WeighView } from './WeighView';
import { WorkView } from './WorkView';

export function StepView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const step = bench.state.current;
  const stopped = stoppedPower({ log: bench.state.log, jobId: bench.job.id });
  const [left, setLeft] = useState<string | null>(null);
  if (step && stopped && left !== stopped.power.record.id) {
    const leave = () => setLeft(stopped.power.record.id);
    return <PowerStoppedView bench={bench} step={step} stopped={stopped} setMode={setMode} onLeave={leave} />;
  }
  if (!step) return <DoneView bench={bench} setMode={setMode} />;
  const props = { bench, setMode };
  switch (step.verb) {
    case 'land':
      return <LandView key={step.id} {...props} step={step} />;
    case 'free':
      return planned(bench, step.subject) ? (
        <FreeView key={step.id} {...props} step={step} />
      ) : (
        <WorkView key={step.id} {...props} step={step} />
      );
    case 'look':
      return <LookView key={step.id} {...props} step={step} />;
    case 'count':
      return <CountView key={step.id} {...props} step={step} line={step.line} />;
    case 'weigh':
      return <WeighView key={step.id} {...props} step={step} />;
    case 'sign':
      return <SignView key={step.id} {...props} step={step} />;
    case 'picture':
      return <PictureView key={step.id} {...props} step={step} />;
    case 'prove':
      return <ProveView key={step.id} {...props} step={step} />;
    case 'touch':
      return <TouchView key={step.id} {...props} step={step} />;
    case 'pack':
      return <PackView key={step.id} {...props} step={step} />;
    case 'permit':
      return <PermitView key={step.id} {...props} step={step} />;
    case 'power':
      return <PowerView key={step.id} {...props} step={step} />;
    default:
      return <WorkView key={step.id} {...props} step={step} />;
  }
}

/** True when the plan knows the wire: it went to another pad than planned, and the plan may follow. */
function planned(bench: Bench, joint: string): boolean {
  return (splitJoint(joint)?.wire ?? '') in bench.state.target.build.wires;
}
