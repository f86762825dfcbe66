/** Every fault of every family that an aircraft can have, one at a time. */
import type { Build, Catalogue } from '@junctor/core';
import type { Injected } from './aircraft';
import { Good } from './aircraft';
import { brokenInsides, families } from './families';
import { harmInside, harmOf } from './harm';

/** Faults that change nothing for anybody are left out. */
export function inject(build: Build, catalogue: Catalogue): Injected[] {
  const good = new Good(build, catalogue);
  const built = families.flatMap(({ says, make }) =>
    make(good).flatMap(({ what, aircraft }): Injected[] => {
      const harm = harmOf(good, aircraft);
      return harm ? [{ family: says, what, harm, aircraft }] : [];
    }),
  );
  const inside = brokenInsides(good).map((broken): Injected => {
    const { slot, element, is } = broken;
    return {
      family: 'inside failed',
      what: `${slot} ${element} ${is}`,
      harm: harmInside(good, broken),
      aircraft: { build, bridges: [], broken: [broken] },
    };
  });
  return [...built, ...inside];
}
