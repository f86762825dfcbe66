/** What crosses between server and browser, beyond the core's own types. */
import type { Id } from '../../facts/terms/names';
import type { Intake } from './stores';
import type { JobProgress } from './jobProgress';
import type { Plan } from '../../facts/plan/plan';
import type { TouchList } from '../../judgement/checks/touchList';

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

/** The touches before first power of a job's plan; while they are worked out how far that is. */
export interface TouchesReply {
  list: TouchList | null;
  at: { share: number; says: string } | null;
}

/** One open job as it hangs on the Floor. */
export interface FloorLine extends JobProgress {
  jobId: Id;
  quadId: Id;
  quad: string;
  customer: string;
  title: string;
  bench: number;
  dueOn: string | null;
}
