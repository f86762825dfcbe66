/** What the bench shows of one kind of step. */
import type { Step } from '@junctor/core';
import type { ReactNode } from 'react';
import type { HandOptions } from '../../../bench/hands/boardHand';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';

export interface StepScreen<S extends Step = Step> {
  /** Left and right, at work and while one only looks along the cord. */
  hands: (bench: Bench, step: S, options?: HandOptions) => Hands;
  /** The step at work: its sentence, what stands between the hands, its answers. */
  Screen: (props: { step: S }) => ReactNode;
}
