/** What is wanted of a part: the purpose, how much is lost without it, and which ways of serving it are welcome. */
import type { Slot } from '../terms/names';

export const purposes = [
  'receiver',
  'telemetry',
  'video',
  'camera',
  'on-screen data',
  'video control',
  'positioning',
  'compass',
  'lights',
  'buzzer',
  'ESC telemetry',
  'current sense',
  'second ground',
] as const;
export type Purpose = (typeof purposes)[number];

export interface Wish {
  id: string;
  purpose: Purpose;
  of: Slot;
  /** true: without it there is no job; the planner says so instead of dropping it. */
  must: boolean;
  /** What the customer loses when it is dropped: 1 hardly missed, 10 the point of the aircraft. */
  lossIfDropped: number;
  /** Names of the ways that may serve it; the planner knows what each of them costs. */
  ways: readonly string[];
}
