/** The touches before first power are being worked out. */
import type { StepOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { ListAwaited } from '../touch/ListAwaited';
import type { StepScreen } from './stepScreen';

export const list: StepScreen<StepOf<'list'>> = { hands: checklistHands, Screen: ListAwaited };
