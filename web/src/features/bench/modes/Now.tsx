/** A job opens where it was left: the current step, a power-up that ended badly, or nothing left to do. */
import { stoppedPower } from '@junctor/core';
import type { JobState } from '@junctor/core';
import { useState } from 'react';
import { Navigate } from 'react-router';
import { jobPlaces } from '../../../addresses';
import { useBench } from '../../../bench/provider/useBench';
import { PowerStopped } from '../power/PowerStopped';
import { screenOf } from '../steps/stepScreens';
import { Done } from './Done';

export function Now() {
  const { state, job } = useBench();
  const step = state.current;
  const stopped = stoppedPower({ log: state.log, jobId: job.id });
  const [left, setLeft] = useState<string | null>(null);
  if (step && job.closedAt === null && stopped && left !== stopped.power.record.id)
    return <PowerStopped step={step} stopped={stopped} onLeave={() => setLeft(stopped.power.record.id)} />;
  if (job.closedAt === null && Object.keys(job.plan.target.slots).length === 0 && isBare(state))
    return <Navigate to={jobPlaces(job.id).compose()} replace />;
  if (!step || job.closedAt !== null) return <Done />;
  const { Screen } = screenOf(step);
  return <Screen key={step.id} step={step} />;
}

/** Nothing is in the quad either. */
function isBare({ asBuilt }: JobState): boolean {
  return Object.keys(asBuilt.build.slots).length === 0;
}
