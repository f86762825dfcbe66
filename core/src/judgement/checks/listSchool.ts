/** How much a list of touches shall prove, and in how many minutes of hands: a school of a plan. */
import { lookUp } from '../../facts/terms/lookUp';
import type { ProbeSchool } from './probes/choose';

export interface ListWanted {
  school: ProbeSchool;
  minutes: number;
}

/** The name under which a plan keeps it. */
export const listSchool = 'touches';

/** What a plan means that says nothing. */
export const usualList: ListWanted = { school: 'proven', minutes: 6 };

/** What stops or kills is asked for in any of them. */
const wanted: ReadonlyMap<string, ListWanted> = new Map([
  ['what kills by two touches, up to 6 min', usualList],
  ['warnings too, up to 6 min', { school: 'with warnings', minutes: 6 }],
  ['warnings too, up to 10 min', { school: 'with warnings', minutes: 10 }],
  ['warnings too, up to 20 min', { school: 'with warnings', minutes: 20 }],
]);

export const listSchools: readonly string[] = [...wanted.keys()];

type Schools = Readonly<Record<string, string>>;

/** What the plan says of it, in the words of the school. */
export function listSchoolOf(schools: Schools): string {
  const said = lookUp(schools, listSchool) ?? '';
  return wanted.has(said) ? said : listSchools[0]!;
}

export function listWanted(schools: Schools): ListWanted {
  return wanted.get(listSchoolOf(schools))!;
}
