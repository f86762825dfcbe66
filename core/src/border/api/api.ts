/** What crosses between server and browser, beyond the core's own types. */
import type { Id, XY } from '../../facts/terms/names';
import type { Intake } from './stores';
import type { Plan } from '../../facts/plan/plan';

/** What a request is refused with: a stable code, a line for a person, and where in the data it was. */
export interface Refusal {
  code: string;
  message: string;
  path: string | null;
  context: unknown;
}

export interface JobSheet {
  id: Id;
  quadId: Id;
  quad: string;
  customer: string;
  kind: 'new' | 'conversion' | 'repair' | 'refit';
  title: string;
  openedAt: string;
  dueOn: string | null;
  bench: number;
  closedAt: string | null;
  plan: Plan;
  /** What was taken down when the job came in; null for jobs from before that was asked. */
  intake: Intake | null;
}

/** One open job as it hangs on the Floor. */
export interface FloorLine {
  jobId: Id;
  quadId: Id;
  quad: string;
  customer: string;
  title: string;
  bench: number;
  dueOn: string | null;
  /** Slots of the motors, for the outline, with their place from the quad's middle and their disc; true once fitted. */
  motors: readonly { slot: string; fitted: boolean; atMm: XY; discMm: number }[];
  bodyFitted: boolean;
  /** Next sentence; null when nothing is left to do. */
  next: string | null;
  nextMinutes: number;
  leftMinutes: number;
  done: number;
  all: number;
  /** What stands against it: findings of kill or stop, in words. */
  against: readonly string[];
}
