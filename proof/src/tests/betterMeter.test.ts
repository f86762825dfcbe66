/** What a list for a weak meter says that a better one would see is what the list for a better one shows. */
import type { Meter, ShownBy } from '@junctor/core';
import { assemble, probeList } from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedTemplate } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { expect, it } from 'vitest';
import { catalogue } from '../trials/ruleTrial';

it('names what a better meter would see, and that alone', async () => {
  const build = shippedTemplate('quad-culvert-4s').plan.target;
  const [typical, , pocket] = shippedMeters.map((card): Meter => ({ id: 'meter', ...card })) as [Meter, Meter, Meter];
  const made = probeList(assemble(build, catalogue), { meter: pocket, solve: await loadSolver() });
  if (made.is === 'gave up') throw new Error(made.why);
  const better = shippedList(basisOf(build, typical))!;
  // Both are of the same faults, in the same order.
  const placesOf = (...by: ShownBy[]) =>
    made.list.faults.flatMap(({ harm, shownBy }, place) => (harm !== 'warn' && by.includes(shownBy) ? [place] : []));
  const isShown = (place: number) => better.faults[place]!.shownBy === 'list';
  expect(placesOf('better meter').length).toBeGreaterThan(0);
  expect(placesOf('better meter').filter((place) => !isShown(place))).toEqual([]);
  expect(placesOf('no touch').filter(isShown)).toEqual([]);
  expect(better.faults.some(({ shownBy }) => shownBy === 'better meter')).toBe(false);
}, 60_000);
