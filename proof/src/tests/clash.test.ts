/** What cannot be planned: the clash in words with figures, and ways out that work when they are taken. */
import type { PlanRequest, Solve } from '@junctor/core';
import { assemble, emptyBuild, planWiring, waysOut, wishesFor, withWayOut } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { shippedTemplate } from '@junctor/catalogue';
import { beforeAll, expect, it } from 'vitest';
import { generate } from '../generators/generate';
import { impossible, kindsOfImpossible } from '../generators/impossible';
import { freeGrounds, groundLost } from '../oracles/groundLost';
import { catalogue } from '../trials/ruleTrial';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const { target, cells } = shippedTemplate('quad-serial-6s').plan;
const request: PlanRequest = {
  slots: target.slots,
  catalogue,
  cells,
  wishes: wishesFor(assemble({ ...emptyBuild, slots: target.slots }, catalogue)),
  pinned: [],
};
const planned = (one: PlanRequest) => expect(planWiring(one, solve).is).toBe('planned');

it('counts motors, channels and cells before it plans, and says what to leave out', () => {
  const more = { ...request, slots: { ...request.slots, M5: request.slots.M4!, M6: request.slots.M4! } };
  const clash = planWiring(more, solve);
  expect(clash).toMatchObject({
    is: 'conflict',
    parts: ['M1', 'M2', 'M3', 'M4', 'M5'],
    why: '5 motors want a channel each, of 4 on ESC',
  });
  if (clash.is !== 'conflict') return;
  const [first] = waysOut(more, clash, solve);
  expect(first).toMatchObject({ do: 'leave out', message: 'Leave out M5, M6' });
  planned(withWayOut(first!, more));
  const tall: PlanRequest = { ...request, cells: [10, 10] };
  const volts = planWiring(tall, solve);
  expect(volts).toMatchObject({ is: 'conflict', wishes: [] });
  if (volts.is !== 'conflict') return;
  const [pack] = waysOut(tall, volts, solve);
  expect(pack).toMatchObject({ do: 'cells' });
  planned(withWayOut(pack!, tall));
});

it.each(kindsOfImpossible)('never plans %s', (kind) => {
  const seeds = Array.from({ length: 30 }, (_, index) => index + 1);
  const made = seeds.flatMap((seed) => impossible(generate(seed, catalogue, 'roomy', 3), catalogue, kind, seed) ?? []);
  expect(made.length).toBeGreaterThan(0);
  expect(planWiring(made[0]!, solve).is).toBe('conflict');
});

it.each([36, 38, 81])('grounds a part on the board that feeds it, where that has a pad: %i', (seed) => {
  const { slots, cells: pack, wishes } = generate(seed, catalogue, 'roomy', 12);
  const result = planWiring({ slots, cells: pack, wishes, catalogue, pinned: [] }, solve);
  expect(result.is).toBe('planned');
  if (result.is !== 'planned') return;
  const lost = groundLost(result.target, catalogue).map(({ slot }) => slot);
  expect(lost.filter((slot) => freeGrounds(slot, result.target, catalogue).length > 0)).toEqual([]);
});

it('adds what is missing, first of what lies in the Stores', () => {
  const { ANT: _, ...slots } = shippedTemplate('quad-glasshouse-6s').plan.target.slots;
  const wishes = wishesFor(assemble({ ...emptyBuild, slots }, catalogue));
  const bare: PlanRequest = { ...request, slots, wishes, cells: [6, 6], inStores: new Set(['reed-ant-lolly']) };
  const clash = planWiring(bare, solve);
  expect(clash).toMatchObject({
    is: 'conflict',
    wishes: ['video VTX'],
    why: 'Nothing is on the aerial socket of VTX antenna.',
  });
  if (clash.is !== 'conflict') return;
  const ways = waysOut(bare, clash, solve);
  expect(ways[0]).toMatchObject({ do: 'add', slots: ['ANT'], model: 'reed-ant-lolly' });
  expect(ways[0]!.message).toMatch(/ as ANT, in the Stores$/);
  expect(ways.find((way) => way.do === 'add' && way.model !== 'reed-ant-lolly')?.message ?? 'to be ordered').toMatch(
    /to be ordered$/,
  );
  planned(withWayOut(ways[0]!, bare));
});
