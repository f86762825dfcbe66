/** Step zero, the dry layout. */
import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { LayoutPage } from '../layout/LayoutPage';
import type { StepScreen } from './stepScreen';

export const lay: StepScreen<StepOf<'lay'>> = { hands: checklistHands, Screen: LayoutPage };
