import { lookUp } from '../../facts/terms/lookUp';
/**
 * The school of when an expectation is said. Before the answer it leads the witness: an ear hears what it was told to
 * hear. So it is said after, unless the shop or the job wants it before.
 */
export const expectationSchool = 'expectation';

export type ExpectationSchool = 'after the answer' | 'before the answer';

export function expectationSchoolOf(schools: Readonly<Record<string, string>>): ExpectationSchool {
  return lookUp(schools, expectationSchool) === 'before the answer' ? 'before the answer' : 'after the answer';
}
