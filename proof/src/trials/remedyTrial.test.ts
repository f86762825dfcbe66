/** Remedies against blind mutations; ./measure remedies does it for all twelve builds. */
import { expect, it } from 'vitest';
import { goodBuilds } from './ruleTrial';
import { mended } from './remedyTrial';

it.each(
  goodBuilds()
    .filter(({ build }) => Object.keys(build.slots).length < 14)
    .slice(0, 5),
)('one key mends what is done to: $name', (good) => {
  const all = mended(good, 41);
  const told = (list: typeof all) =>
    list.map(
      ({ mutant: { operator, what }, message, remedy, then }) =>
        `${operator} ${what}: ${message} ${remedy ?? 'no remedy'} ${then?.because ?? ''}`,
    );
  expect(all.length).toBeGreaterThan(2);
  const tried = all.filter(({ remedy }) => remedy !== null);
  expect(told(tried.filter(({ gone }) => !gone))).toEqual([]);
  expect(told(tried.filter(({ then }) => then !== null && then.is !== 'fine'))).toEqual([]);
  // A wrong part is not mended by a wire: all else is.
  expect(told(all.filter(({ remedy, mutant }) => remedy === null && mutant.operator !== 'another model'))).toEqual([]);
});
