/**
 * A build file: a plan that belongs to no job. Its published schema is docs/formats/build.schema.json; reading is
 * schemas/build.
 */
import type { PlanDraft } from '../../facts/plan/plan';

interface BuildFile {
  format: 'junctor-build';
  version: 1;
  name: string;
  plan: PlanDraft;
}

/** The plan of a job, or a draft, as a build file; what belongs to the job alone is left out. */
export function buildFileOf(
  name: string,
  { target, front, links, wishes, pinned, cells, schools }: PlanDraft,
): BuildFile {
  return { format: 'junctor-build', version: 1, name, plan: { target, front, links, wishes, pinned, cells, schools } };
}
