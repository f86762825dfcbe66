/** The hands of a step that is looked at; of a finished job what it proved and what nothing showed. */
import type { Step } from '@junctor/core';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { screenOf } from '../steps/stepScreens';
import { doneHands } from './doneHands';

export function shownHands(bench: Bench, step: Step | null): Hands {
  return step ? screenOf(step).hands(bench, step) : doneHands(bench);
}
