/** The view of each kind of step. A new kind is a line here, and a view of its own where plain words do not do. */
import type { Step, StepOf, Verb } from '@junctor/core';
import { splitJoint } from '@junctor/core';
import type { ReactNode } from 'react';
import { CountView } from './CountView';
import { FreeView } from './FreeView';
import { LandView } from './LandView';
import { LookView } from './LookView';
import type { SetMode } from './mode';
import { PackView } from './PackView';
import { PermitView } from './PermitView';
import { PictureView } from './PictureView';
import { PowerView } from './PowerView';
import { ProveView } from './ProveView';
import { SignView } from './SignView';
import { TouchView } from './TouchView';
import type { Bench } from './useBench';
import { WeighView } from './WeighView';
import { WorkView } from './WorkView';

type StepView<S> = (props: { bench: Bench; step: S; setMode: SetMode }) => ReactNode;

const stepViews: { [V in Verb]: StepView<StepOf<V>> } = {
  count: CountView,
  say: WorkView,
  weigh: WeighView,
  sign: SignView,
  picture: PictureView,
  unmate: WorkView,
  free: (props) => (isPlanned(props.bench, props.step.subject) ? <FreeView {...props} /> : <WorkView {...props} />),
  drop: WorkView,
  take: WorkView,
  unhouse: WorkView,
  fit: WorkView,
  house: WorkView,
  lead: WorkView,
  land: LandView,
  redo: WorkView,
  look: LookView,
  mate: WorkView,
  prove: ProveView,
  touch: TouchView,
  pack: PackView,
  permit: PermitView,
  power: PowerView,
};

/** The view of a step; the table makes sure that it is the one for its verb. */
export function viewOf({ verb }: Step): StepView<Step> {
  return stepViews[verb] as StepView<Step>;
}

/** True when the plan knows the wire: it went to another pad than planned, and the plan may follow. */
function isPlanned(bench: Bench, joint: string): boolean {
  return (splitJoint(joint)?.wire ?? '') in bench.state.target.build.wires;
}
