/**
 * Plan changes in any number and order: undone exactly, commuting where they touch different things, and refused where
 * they do not.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import type { Plan } from './plan';
import type { PlanChange } from './planChange';
import { applyPlanChanges, reversePlanChanges, valueAt } from './planChange';
import { planChangesTo } from './planChangesTo';
import { sameJson } from '../terms/sameJson';

const plan: Plan = {
  jobId: 'j',
  version: 1,
  target: buildOf(benchSlots, goodWires()),
  front: null,
  links: [{ id: 'l', purpose: 'p', ends: [], wires: [], set: {} }],
  wishes: [],
  pinned: [{ what: 'port', of: 'receiver RX', value: 'FC/U1' }],
  cells: [4, 6],
  schools: { coating: 'none' },
};

const colours = fc.constantFrom('red', 'blue', 'violet');
const wires = fc.tuple(fc.constantFrom('WP', 'V', 'G', 'T', 'R', 'new'), fc.option(colours)).map(([id, colour]) => ({
  path: `wires/${id}` as const,
  after: colour === null ? null : { ...(plan.target.wires[id] ?? wire(id, 'RX.T', null)), colour },
}));
const pins = fc
  .tuple(fc.constantFrom('port receiver RX', 'terminal RX.T'), fc.option(fc.constantFrom('FC/U1', 'FC/U2')))
  .map(([name, value]) => {
    const [what, of] = [name.slice(0, name.indexOf(' ')) as 'port' | 'terminal', name.slice(name.indexOf(' ') + 1)];
    return { path: `pinned/${name}` as const, after: value === null ? null : { what, of, value } };
  });
const others = fc.oneof(
  fc.option(fc.constantFrom('none', 'brushed')).map((after) => ({ path: 'schools/coating' as const, after })),
  fc.constantFrom([4, 6], [6, 6]).map((after) => ({ path: 'cells' as const, after })),
  fc.option(fc.constantFrom('p', 'q')).map((purpose) => ({
    path: 'links/l' as const,
    after: purpose === null ? null : { id: 'l', purpose, ends: [], wires: [], set: {} },
  })),
);
const edits = fc.array(fc.oneof(wires, pins, others), { maxLength: 8 });

/** The edits as changes of the plan, each seeing what the ones before have left. */
function changesOf(
  start: Plan,
  list: readonly { path: PlanChange['path']; after: unknown }[],
): { changes: PlanChange[]; plan: Plan } {
  let now = start;
  const changes = list.map(({ path, after }): PlanChange => {
    const change = { path, before: valueAt(now, path), after };
    const made = applyPlanChanges(now, [change]);
    if (!made.ok) throw new Error(`refused ${path}`);
    now = made.plan;
    return change;
  });
  return { changes, plan: now };
}

/** Without the version; lists by what they hold, since their order means nothing. */
function content({ target, links, wishes, pinned, cells, schools }: Plan) {
  const byName = (list: readonly object[]) => list.map((first) => JSON.stringify(first)).sort();
  return { target, links: byName(links), wishes: byName(wishes), pinned: byName(pinned), cells, schools };
}

describe('plan changes', () => {
  it('made together are what they are made one by one, and their reverse undoes them', () => {
    fc.assert(
      fc.property(edits, (list) => {
        const { changes, plan: after } = changesOf(plan, list);
        const together = applyPlanChanges(plan, changes);
        expect(together.ok && content(together.plan)).toEqual(content(after));
        const back = applyPlanChanges(after, reversePlanChanges(changes));
        expect(back.ok && content(back.plan)).toEqual(content(plan));
      }),
    );
  });

  it('of different paths commute; of one path the second that did not see the first is refused and changes nothing', () => {
    fc.assert(
      fc.property(edits, edits, (member, other) => {
        const [mine, theirs] = [changesOf(plan, member).changes, changesOf(plan, other).changes];
        const shared = mine.some(({ path }) => theirs.some((change) => change.path === path));
        const first = applyPlanChanges(plan, mine);
        const second = first.ok ? applyPlanChanges(first.plan, theirs) : first;
        if (!shared) {
          const turned = applyPlanChanges(plan, theirs);
          const last = turned.ok ? applyPlanChanges(turned.plan, mine) : turned;
          expect(second.ok && last.ok && sameJson(content(second.plan), content(last.plan))).toBe(true);
        } else if (!second.ok) {
          expect(theirs.map(({ path }) => path)).toContain(second.conflict.path);
        }
      }),
    );
  });

  it('between any two plans lead exactly from the one to the other, and to itself are none', () => {
    fc.assert(
      fc.property(edits, edits, (first, other) => {
        const [from, to] = [
          changesOf(plan, first).plan,
          {
            ...changesOf(plan, other).plan,
            cells: changesOf(plan, first).plan.cells,
            schools: changesOf(plan, first).plan.schools,
          },
        ];
        const changes = planChangesTo(from, to);
        const made = applyPlanChanges(from, changes);
        expect(made.ok && content(made.plan)).toEqual(content(to));
        expect(planChangesTo(to, to)).toEqual([]);
        expect(new Set(changes.map(({ path }) => path)).size).toBe(changes.length);
      }),
    );
  });
});
