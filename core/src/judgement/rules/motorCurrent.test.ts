/** Current from the motors to the pack, on a worked case: two ESCs on a board, wires side by side. */
import { expect, it } from 'vitest';
import type { Wire } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import { assemble } from '../../facts/assembly/assembly';
import { buildOf, ground, model, pin, port, takes, terminal, wire } from '../../testing/fixtures';
import { board, lead, signal } from '../../testing/ruleParts';
import { judge } from './judge';
import { makeRuleView } from './finding';
import { motorFlow } from './motorFlow';

const esc = (bears = { typicalA: 30, peakA: 40 }) =>
  model(
    'esc',
    'esc',
    [
      terminal('P', [takes(10, 26)]),
      terminal('N', [ground]),
      ...(['a', 'b', 'c'] as const).map((phase) => terminal(phase.toUpperCase(), [pin('M', phase)])),
    ],
    { ports: [port('M', 'motorPhase', { way: 'gives' })], motorCurrent: bears },
  );
const motor = model(
  'motor',
  'motor',
  (['a', 'b', 'c'] as const).map((phase) => terminal(phase.toUpperCase(), [pin('PH', phase)])),
  { ports: [port('PH', 'motorPhase', { way: 'takes' })], motorCurrent: { typicalA: 8, peakA: 35 } },
);
const slots = { BAT: 'lead', FC: 'board', E1: 'esc', E2: 'esc', M1: 'motor', M2: 'motor' };
const thick = { awg: 14 };
const good = (): Wire[] => [
  wire('WP', 'BAT.P', 'FC.VB', { awg: 12 }),
  wire('WN', 'BAT.N', 'FC.G', { awg: 12 }),
  ...['1', '2'].flatMap((n) => [
    wire(`P${n}`, `E${n}.P`, 'FC.VB', thick),
    wire(`N${n}`, `E${n}.N`, 'FC.G', thick),
    ...['A', 'B', 'C'].map((phase) => wire(`M${n}${phase}`, `M${n}.${phase}`, `E${n}.${phase}`, { awg: 18 })),
  ]),
];
const assembled = (wires: readonly Wire[], of = esc()) =>
  assemble(
    buildOf(slots, wires),
    makeCatalogue([lead, board([signal('S', 'U', 'tx')], [port('U', 'serial')]), of, motor]),
  );
const found = (wires: readonly Wire[], of = esc()) =>
  judge(assembled(wires, of), [], [4, 6])
    .filter(({ rule }) => rule === 'motor current')
    .map(({ severity, wires: at }) => `${severity} ${at.join()}`);
const with_ = (id: string, awg: number) => good().map((one) => (one.id === id ? { ...one, awg } : one));

it('adds up what goes through each wire, and shares it between wires side by side', () => {
  const flows = (wires: readonly Wire[]) =>
    Object.fromEntries(
      motorFlow(
        makeRuleView(assembled(wires), [], [4, 6]),
        new Map([
          ['E1', 8],
          ['E2', 8],
        ]),
      ).map((flow) => [flow.wire, flow.amps]),
    );
  expect(flows(good())).toEqual({ WP: 16, WN: 16, P1: 8, P2: 8, N1: 8, N2: 8 });
  expect(flows([...good(), wire('WP2', 'BAT.P', 'FC.VB', { awg: 12 })])).toMatchObject({ WP: 8, WP2: 8, WN: 16 });
});

it('finds leads, ways and channels that are too weak, and nothing where they are not', () => {
  expect(found(good())).toEqual([]);
  expect(found(with_('WP', 18))).toEqual(['warn WP']);
  expect(found(with_('WN', 22))).toEqual(['stop WN']);
  expect(found(with_('M1A', 20))).toEqual(['warn M1A']);
  expect(found(good(), esc({ typicalA: 30, peakA: 32 }))).toHaveLength(2);
});
