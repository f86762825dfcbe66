import { describe, expect, it } from 'vitest';
import { benchParts, benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import { landedOn } from '../../facts/assembly/build';
import type { Wire } from '../../facts/assembly/build';
import type { TerminalRef } from '../../facts/terms/names';
import type { Plan } from '../../facts/plan/plan';
import { applyPlanChanges } from '../../facts/plan/planChange';
import { judge } from '../../judgement/rules/judge';
import { remediesFor } from './remedies';
import { assemble } from '../../facts/assembly/assembly';

const catalogue = benchParts();
const plan = (wires: readonly Wire[], links: Plan['links'] = []): Plan => ({
  jobId: 'j',
  version: 1,
  target: buildOf(benchSlots, wires),
  front: null,
  links,
  wishes: [],
  pinned: [],
  cells: [4, 6],
  schools: {},
});
const moved = (id: string, to: TerminalRef) =>
  goodWires().map((given) => (given.id === id ? wire(id, landedOn(given.ends[0]), to) : given));

describe('remedies', () => {
  it.each([
    [
      'exchanged data wires',
      [
        ...goodWires().filter(({ id }) => id !== 'T' && id !== 'R'),
        wire('T', 'RX.T', 'FC.T1'),
        wire('R', 'RX.R', 'FC.R1'),
      ],
      'crossing',
    ],
    ['a supply on battery', moved('V', 'FC.VB'), 'battery on logic'],
    ['a missing ground', goodWires().filter(({ id }) => id !== 'G'), 'ground missing'],
    ['two ports', moved('T', 'FC.R2'), 'split port'],
  ])('of %s leave no finding', (_what, wires, rule) => {
    const ill = plan(wires);
    const found = judge(assemble(ill.target, catalogue), [], ill.cells).find((finding) => finding.rule === rule);
    const [first] = remediesFor(ill, catalogue, found!);
    const made = applyPlanChanges(ill, first!.changes);
    expect(made.ok && judge(assemble(made.plan.target, catalogue), [], [4, 6])).toEqual([]);
  });

  it('calls a port what it is wired to', () => {
    const both = goodWires().map((given) => {
      if (given.id === 'T') return wire('T', 'RX.T', 'FC.R2');
      if (given.id === 'R') return wire('R', 'RX.R', 'FC.T2');
      return given;
    });
    const ill = plan(both, [
      {
        id: 'receiver',
        purpose: 'receiver',
        ends: [
          { slot: 'RX', port: 'L' },
          { slot: 'FC', port: 'U1' },
        ],
        wires: [],
        set: {},
      },
    ]);
    const found = judge(assemble(ill.target, catalogue), ill.links, ill.cells);
    expect(found.map(({ rule, severity }) => `${severity} ${rule}`)).toEqual([
      'warn port not as named',
      'warn port not as named',
    ]);
    const made = applyPlanChanges(ill, remediesFor(ill, catalogue, found[0]!)[0]!.changes);
    expect(made.ok && made.plan.links[0]!.ends[1]).toEqual({ slot: 'FC', port: 'U2' });
  });
});
