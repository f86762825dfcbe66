/** How much of the continuity list a job asks for: a school of its plan. */
import type { Plan } from '../../facts/plan/plan';
import { lookUp } from '../../facts/terms/lookUp';

export const continuitySchool = 'continuity';
export const onlyTouched = 'what was touched';

/** A plan that says nothing asks for everything. */
export function wholeList({ schools }: Pick<Plan, 'schools'>): boolean {
  return lookUp(schools, continuitySchool) !== onlyTouched;
}
