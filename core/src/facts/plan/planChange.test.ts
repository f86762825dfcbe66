import { expect, it } from 'vitest';
import { benchSlots, buildOf, goodWires } from '../../testing/fixtures';
import type { Plan } from './plan';
import { applyPlanChanges, reversePlanChanges } from './planChange';
import { sameJson } from '../terms/sameJson';

const plan: Plan = {
  jobId: 'j',
  version: 3,
  target: buildOf(benchSlots, goodWires()),
  front: null,
  links: [{ id: 'l', purpose: 'p', ends: [], wires: [], set: {} }],
  wishes: [],
  pinned: [],
  cells: [4, 6],
  schools: {},
};
const blue = {
  path: 'wires/T',
  before: plan.target.wires.T,
  after: { ...plan.target.wires.T, colour: 'blue' },
} as const;

it('makes changes, one version higher, and undoes them by their reverse', () => {
  const changes = [
    blue,
    { path: 'links/l', before: plan.links[0], after: null },
    { path: 'cells', before: [4, 6], after: [6, 6] },
    { path: 'schools/coating', before: null, after: 'none' },
  ] as const;
  const made = applyPlanChanges(plan, changes);
  if (!made.ok) throw new Error('refused');
  expect([made.plan.version, made.plan.target.wires.T!.colour, made.plan.links, made.plan.cells]).toEqual([
    4,
    'blue',
    [],
    [6, 6],
  ]);
  const undone = applyPlanChanges(made.plan, reversePlanChanges(changes));
  expect(undone).toEqual({ ok: true, plan: { ...plan, version: 5 } });
});

it('refuses a change whose before no longer holds, and changes nothing', () => {
  expect(applyPlanChanges(plan, [blue, blue])).toEqual({ ok: false, conflict: blue });
});

it('takes the order of keys for nothing', () => {
  expect(sameJson({ a: 1, b: [1, { c: 2, d: undefined }] }, { b: [1, { c: 2 }], a: 1 })).toBe(true);
  expect(sameJson({ a: 1 }, { a: 1, b: null })).toBe(false);
});
