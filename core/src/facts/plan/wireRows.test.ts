import { describe, expect, it } from 'vitest';
import type { Plan } from './plan';
import { applyPlanChanges } from './planChange';
import { benchParts, benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import { planChangesTo } from './planChangesTo';
import { changesFromRows, slotsOfRow, wireRows } from './wireRows';
import { assemble } from '../assembly/assembly';

const catalogue = benchParts();
const build = {
  ...buildOf(benchSlots, [...goodWires(), wire('Z', 'RX.T', null)]),
  housings: { H: { id: 'H', family: 'f', pitchMm: 1, ways: 2, key: 'k' } },
};
const plan: Plan = {
  jobId: 'j',
  version: 1,
  target: build,
  front: null,
  links: [{ id: 'l', purpose: 'receiver', ends: [], wires: ['T'], set: {} }],
  wishes: [],
  pinned: [],
  cells: [4, 6],
  schools: {},
};
const rows = wireRows(build, plan.links).map((row, index) => ({ line: index + 2, row }));
const edited = (wireId: string, over: object) =>
  rows.map(({ line, row }) => ({ line, row: row.wire === wireId ? { ...row, ...over } : row }));

describe('wire rows', () => {
  it('say both ends in words that are read back to the same wires', () => {
    expect(rows.find(({ row }) => row.wire === 'T')!.row).toEqual({
      wire: 'T',
      from: 'RX.T',
      to: 'FC.R1',
      awg: 28,
      colour: 'white',
      lengthMm: 50,
      link: 'receiver',
    });
    expect(rows.find(({ row }) => row.wire === 'Z')!.row.to).toBe('bare');
    expect(slotsOfRow(rows[0]!.row)).toEqual(['BAT', 'FC']);
    expect(changesFromRows(rows, assemble(build, catalogue))).toEqual({ ok: true, changes: [] });
  });

  it('become changes of the plan: moved, recoloured, new, gone', () => {
    const read = changesFromRows(
      [
        ...edited('T', { to: 'FC.R2', colour: 'blue' }).filter(({ row }) => row.wire !== 'Z'),
        { line: 99, row: { wire: 'N', from: 'FC.G2', to: 'H#2', awg: 26, colour: 'black', lengthMm: null, link: '' } },
      ],
      assemble(build, catalogue),
    );
    if (!read.ok) throw new Error('refused');
    const made = applyPlanChanges(plan, read.changes);
    expect(
      made.ok &&
        wireRows(made.plan.target, [])
          .filter(({ wire: id }) => ['T', 'N', 'Z'].includes(id))
          .map(({ wire: id, to, colour }) => [id, to, colour]),
    ).toEqual([
      ['T', 'FC.R2', 'blue'],
      ['N', 'H#2', 'black'],
    ]);
  });

  it('are refused with their line, all faults at once', () => {
    expect(
      changesFromRows(
        [
          ...edited('T', { to: 'FC.NOWHERE' }),
          { line: 40, row: rows[0]!.row },
          { line: 41, row: { ...rows[0]!.row, wire: 'Q', from: 'H#3' } },
        ],
        assemble(build, catalogue),
      ),
    ).toEqual({
      ok: false,
      faults: [
        { line: rows.find(({ row }) => row.wire === 'T')!.line, message: 'there is no FC.NOWHERE in this build' },
        { line: 40, message: `${rows[0]!.row.wire} stands in line 2 already` },
        { line: 41, message: 'there is no H#3 in this build' },
      ],
    });
  });
});

it('the changes to another plan are what differs, and lead there', () => {
  const { T: _gone, ...wires } = build.wires;
  const wish = {
    id: 'receiver RX',
    purpose: 'receiver',
    of: 'RX',
    must: true,
    lossIfDropped: 10,
    ways: ['two-way'],
  } as const;
  const other = {
    target: { ...build, wires: { ...wires, R: { ...wires.R!, colour: 'green' } } },
    links: [],
    wishes: [wish],
    pinned: [{ what: 'port', of: 'receiver RX', value: 'FC/U1' }] as const,
  };
  const changes = planChangesTo(plan, other);
  expect(changes.map(({ path }) => path).sort()).toEqual([
    'links/l',
    'pinned/port receiver RX',
    'wires/R',
    'wires/T',
    'wishes/receiver RX',
  ]);
  const made = applyPlanChanges(plan, changes);
  expect(made.ok && { ...made.plan, version: 0 }).toEqual({
    ...plan,
    version: 0,
    target: other.target,
    links: [],
    wishes: other.wishes,
    pinned: other.pinned,
  });
});
