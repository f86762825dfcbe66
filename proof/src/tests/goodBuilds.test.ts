/** Good aircraft, by a meter apart from the core, through lists that ship: none of them is stopped. */
import type { Meter } from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedTemplate } from '@junctor/catalogue';
import { expect, it } from 'vitest';
import { judgedIn, stopsOfGood } from '../trials/probeTrial';

const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
/** None that the benchmark draws. */
const seeds = Array.from({ length: 100 }, (_, index) => 20_001 + index);

it.each(['quad-serial-6s', 'quad-culvert-4s'])(
  '100 good aircraft of %s pass with values moved by their spread, and 100 with other insides than their models',
  (id) => {
    const of = { name: id, build: shippedTemplate(id).plan.target, meter };
    const { moved, otherwise } = stopsOfGood(of, judgedIn(of, shippedList(basisOf(of.build, meter))!), seeds);
    expect(moved).toEqual([]);
    expect(otherwise).toEqual([]);
  },
  240_000,
);
