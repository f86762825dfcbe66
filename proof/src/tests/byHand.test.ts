/**
 * What the technician chooses by hand is kept by the planner: a pad, a colour, a gauge, and the port that goes with a
 * pad.
 */
import type { Pinned, Plan, PlanChange, Solve } from '@junctor/core';
import {
  applyPlanChanges,
  bodyByHand,
  emptyBuild,
  landedOn,
  padByHand,
  planChangesTo,
  planWiring,
  splitRef,
  terminalRef,
  terminalUnder,
  wishesFor,
  assemble,
} from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { beforeAll, describe, expect, it } from 'vitest';
import { shippedTemplate } from '@junctor/catalogue';
import { catalogue } from '../trials/ruleTrial';
import { generate } from '../generators/generate';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const template = shippedTemplate('quad-serial-6s').plan;
const start: Plan = {
  ...template,
  jobId: 'job',
  version: 1,
  wishes: wishesFor(assemble({ ...emptyBuild, slots: template.target.slots }, catalogue)),
  pinned: [],
};

function changed(plan: Plan, changes: readonly PlanChange[]): Plan {
  const result = applyPlanChanges(plan, changes);
  if (!result.ok) throw new Error(`conflict at ${result.conflict.path}`);
  return result.plan;
}

/** The plan as the planner makes it anew. */
function replanned(plan: Plan): Plan {
  const { target, wishes, pinned, cells } = plan;
  const result = planWiring({ slots: target.slots, catalogue, cells, wishes, pinned }, solve);
  if (result.is !== 'planned') throw new Error(`${result.is}: ${result.why}`);
  expect(result.findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
  return changed(plan, planChangesTo(plan, { target: result.target, links: result.links, wishes, pinned }));
}

/** The wire that leaves a terminal, and where it leads. */
function from(plan: Plan, ref: `${string}.${string}`) {
  const wire = Object.values(plan.target.wires).find(({ ends }) => landedOn(ends[0]) === ref)!;
  return { wire, leadsTo: terminalUnder(assemble(plan.target, catalogue), wire.ends[1]) };
}

describe('a pad chosen by hand', () => {
  it('is kept, and its partner follows it to the same port', () => {
    const free = replanned(start);
    expect(from(free, 'RX.TX').leadsTo).toBe('FC.RX2');
    const held = replanned(changed(free, padByHand(free, catalogue, 'RX.TX', 'FC.RX3')));
    expect([from(held, 'RX.TX').leadsTo, from(held, 'RX.RX').leadsTo]).toEqual(['FC.RX3', 'FC.TX3']);
    expect(held.pinned).toEqual([{ what: 'terminal', of: 'RX.TX', value: 'FC.RX3' }]);
    expect(held.links.find(({ wish }) => wish === 'receiver RX')!.ends[1]).toEqual({ slot: 'FC', port: 'UART3' });
  });

  it('is the same whichever end is named first, takes the place of an older one, and is its own undo', () => {
    expect(padByHand(start, catalogue, 'FC.RX3', 'RX.TX')).toEqual(padByHand(start, catalogue, 'RX.TX', 'FC.RX3'));
    const once = changed(start, padByHand(start, catalogue, 'RX.TX', 'FC.RX3'));
    const twice = changed(once, padByHand(once, catalogue, 'RX.TX', 'FC.RX2'));
    expect(twice.pinned).toEqual([{ what: 'terminal', of: 'RX.TX', value: 'FC.RX2' }]);
  });

  it('lets go of the port that was held, when it belongs to another one', () => {
    const held: Plan = {
      ...start,
      pinned: [
        { what: 'port', of: 'receiver RX', value: 'FC/UART2' },
        { what: 'colour', of: 'RX.TX', value: 'grey' },
      ],
    };
    const moved = changed(held, padByHand(held, catalogue, 'RX.TX', 'FC.RX3'));
    expect(moved.pinned.map(({ what }) => what).sort()).toEqual(['colour', 'terminal']);
    expect(from(replanned(moved), 'RX.TX').leadsTo).toBe('FC.RX3');
    const stays = changed(held, padByHand(held, catalogue, 'RX.TX', 'FC.RX2'));
    expect(stays.pinned.map(({ what }) => what).sort()).toEqual(['colour', 'port', 'terminal']);
  });

  it('holds a supply and a ground as well; on the power path there is nothing to hold', () => {
    const ground = changed(start, padByHand(start, catalogue, 'RX.GND', 'FC.G5'));
    expect(from(replanned(ground), 'RX.GND').leadsTo).toBe('FC.G5');
    expect(padByHand(start, catalogue, 'M1.A', 'ESC.A2')).toEqual([]);
    expect(padByHand(start, catalogue, 'RX.TX', 'FC.GND1')).toEqual([]);
  });
});

describe('a colour or a gauge chosen by hand', () => {
  it('is planned now and kept later', () => {
    const free = replanned(start);
    const { id } = from(free, 'RX.TX').wire;
    const grey = changed(free, bodyByHand(free, catalogue, id, { colour: 'grey', awg: 26 }));
    expect(grey.target.wires[id]).toMatchObject({ colour: 'grey', awg: 26 });
    expect(from(replanned(grey), 'RX.TX').wire).toMatchObject({ colour: 'grey', awg: 26 });
    expect(grey.pinned).toEqual([
      { what: 'colour', of: 'RX.TX', value: 'grey' },
      { what: 'gauge', of: 'RX.TX', value: '26' },
    ]);
  });

  it('changes nothing when it is so already, and names the wire that is not there', () => {
    const { wire } = from(start, 'RX.TX');
    expect(bodyByHand(start, catalogue, wire.id, wire)).toEqual([]);
    expect(() => bodyByHand(start, catalogue, 'W99', { colour: 'red', awg: 28 })).toThrow('no wire W99');
  });
});

describe('any pad that would do, chosen by hand', () => {
  it.each([3, 5, 11, 14])(
    'is kept in the generated build %d, with nothing above a warning, and nothing is lost that need not be',
    (seed) => {
      const { slots, cells, wishes } = generate(seed, catalogue, 'roomy');
      const request = { slots, catalogue, cells, wishes };
      const free = planWiring({ ...request, pinned: [] }, solve);
      if (free.is !== 'planned') throw new Error(free.is);
      const plan: Plan = {
        ...template,
        jobId: 'job',
        version: 1,
        target: free.target,
        links: free.links,
        wishes,
        cells,
        pinned: [],
      };
      const joinedNow = Object.values(free.target.wires).map(({ ends }) =>
        ends.map((end) => terminalUnder(assemble(free.target, catalogue), end)),
      );
      // Every pad of the same board that the planner could have chosen instead.
      const choices = joinedNow.flatMap(([own, now]) => {
        if (!own || !now) return [];
        const { slot } = splitRef(now);
        const others = assemble(free.target, catalogue)
          .model(slot)!
          .terminals.map(({ id }) => terminalRef(slot, id))
          .filter(
            (ref) =>
              ref !== now &&
              padByHand(plan, catalogue, own, ref).some(({ after }) => (after as Pinned | null)?.of === own),
          );
        return others.length > 0 ? [{ own, pad: others[seed % others.length]! }] : [];
      });
      expect(choices.length).toBeGreaterThan(1);
      for (const { own, pad } of choices.filter((_, index) => index % Math.ceil(choices.length / 5) === 0)) {
        const pinned = padByHand(plan, catalogue, own, pad).map(({ after }) => after as Pinned);
        expect(pinned).toEqual([{ what: 'terminal', of: own, value: pad }]);
        const held = planWiring({ ...request, pinned }, solve);
        // A pad may be too small for the rest of the wishes; then it is said, and nothing is planned past it.
        if (held.is !== 'planned') continue;
        const joined = Object.values(held.target.wires).some(({ ends }) =>
          ends.every((end) => [own, pad].some((ref) => ref === terminalUnder(assemble(held.target, catalogue), end))),
        );
        const used = Object.values(held.target.wires).some(({ ends }) =>
          ends.some((end) => terminalUnder(assemble(held.target, catalogue), end) === own),
        );
        expect([own, pad, joined || !used]).toEqual([own, pad, true]);
        expect(held.findings.filter(({ severity }) => severity !== 'warn')).toEqual([]);
        expect(held.cost.loss).toBeGreaterThanOrEqual(free.cost.loss);
      }
    },
  );
});
