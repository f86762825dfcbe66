import { expect, it } from 'vitest';
import { listSchool, listSchoolOf, listSchools, listWanted, usualList } from './listSchool';

it('is the usual one for a plan that says nothing, or what nobody knows', () => {
  expect(listWanted({})).toEqual(usualList);
  for (const said of ['constructor', 'warnings too, up to 99 min'])
    expect(listWanted({ [listSchool]: said })).toEqual(usualList);
  expect(usualList).toEqual({ school: 'proven', minutes: 6 });
});

it('is what the plan says', () => {
  for (const said of listSchools) expect(listSchoolOf({ [listSchool]: said })).toBe(said);
  expect(listWanted({ [listSchool]: 'warnings too, up to 10 min' })).toEqual({ school: 'with warnings', minutes: 10 });
});
