/** A job at the bench: opens where it was left. */
import { useState } from 'react';
import { useLocation } from 'react-router';
import { FaultView } from './FaultView';
import { LookingView } from './LookingView';
import type { Mode } from './mode';
import { work } from './mode';
import { OtherPadView } from './OtherPadView';
import { ProblemView, WhatToDoView } from './ProblemView';
import { StepView } from './StepView';
import { TakeBackView } from './TakeBackView';
import type { Bench } from './useBench';
import { WithBench } from './WithBench';
import { MotorsView } from '../wiring/MotorsView';
import { PlannerView } from '../wiring/PlannerView';
import { SuppliesView } from '../wiring/SuppliesView';
import { WaiveView } from '../wiring/WaiveView';
import { WireBodyView } from '../wiring/WireBodyView';
import { WholeBoardView } from '../wiring/WholeBoardView';
import { WiringView } from '../wiring/WiringView';
import { WhyView } from './WhyView';

export function JobPage() {
  return <WithBench>{(bench) => <JobBench bench={bench} />}</WithBench>;
}

function JobBench({ bench }: { bench: Bench }) {
  const asked = useLocation().pathname.endsWith('/wiring');
  const [mode, setMode] = useState<Mode>(asked ? { is: 'wiring', wire: null } : work);
  switch (mode.is) {
    case 'work':
      return <StepView bench={bench} setMode={setMode} />;
    case 'looking':
      return <LookingView bench={bench} index={mode.index} setMode={setMode} />;
    case 'other pad':
      return <OtherPadView bench={bench} mode={mode} setMode={setMode} />;
    case 'problem':
      return <ProblemView bench={bench} setMode={setMode} />;
    case 'what to do':
      return <WhatToDoView bench={bench} defect={mode.defect} setMode={setMode} />;
    case 'fault':
      return <FaultView bench={bench} symptom={mode.symptom} setMode={setMode} />;
    case 'wiring':
      return <WiringView bench={bench} first={mode.wire} setMode={setMode} />;
    case 'wire body':
      return <WireBodyView bench={bench} wireId={mode.wire} setMode={setMode} />;
    case 'whole board':
      return <WholeBoardView bench={bench} slot={mode.slot} setMode={setMode} />;
    case 'waive':
      return <WaiveView bench={bench} finding={mode.finding} waiver={mode.waiver} setMode={setMode} />;
    case 'planner':
      return <PlannerView bench={bench} setMode={setMode} />;
    case 'supplies':
      return <SuppliesView bench={bench} setMode={setMode} />;
    case 'motors':
      return <MotorsView bench={bench} setMode={setMode} />;
    case 'why':
      return <WhyView bench={bench} setMode={setMode} />;
    case 'take back':
      return <TakeBackView bench={bench} setMode={setMode} />;
  }
}
