import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Build } from '../assembly/build';
import { makeCatalogue } from '../catalogue/catalogue';
import { benchParts, benchSlots, buildOf, goodWires, ground, model, terminal, wire } from '../../testing/fixtures';
import { netlist } from './netlist';
import { assemble } from '../assembly/assembly';

it('joins terminals through wires and the copper of a part', () => {
  const nets = netlist(assemble(buildOf(benchSlots, goodWires()), benchParts()));
  expect(nets.netOf('RX.G')).toBe(nets.netOf('FC.G2'));
  expect(nets.netOf('RX.T')).toBe(nets.netOf('FC.R1'));
  expect(nets.netOf('RX.T')).not.toBe(nets.netOf('FC.T1'));
  expect(nets.netOf('FC.nothing')).toBeNull();
});

it('agrees with a plain search over any wiring', () => {
  const pads = ['A', 'B', 'C', 'D', 'E', 'F'].map((id) => terminal(id, [ground]));
  const catalogue = makeCatalogue([model('strip', 'controller', pads)]);
  const ref = fc.constantFrom(...pads.map(({ id }) => `S.${id}` as const));
  fc.assert(
    fc.property(fc.array(fc.tuple(ref, ref), { maxLength: 8 }), (pairs) => {
      const build = buildOf(
        { S: 'strip' },
        pairs.map(([a, b], index) => wire(`W${index}`, a, b)),
      );
      const nets = netlist(assemble(build, catalogue));
      for (const { id } of pads) {
        const reached = new Set([`S.${id}`]);
        for (let before = -1; before !== reached.size;) {
          before = reached.size;
          for (const [a, b] of pairs) if (reached.has(a) || reached.has(b)) reached.add(a).add(b);
        }
        expect([...nets.netOf(`S.${id}`)!.terminals].sort()).toEqual([...reached].sort());
      }
    }),
  );
});

it('follows a mated plug pin by pin, shifted and mirrored', () => {
  const pins = ['1', '2', '3'].map((id) => terminal(id, [ground], { form: 'pin' }));
  const plug = { id: 'J', family: 'f', pitchMm: 1, key: 'k', exitDeg: 0, ampsPerPin: 1, pins: ['1', '2', '3'] };
  const catalogue = makeCatalogue([model('header', 'controller', pins, { connectors: [plug] })]);
  const mated = (shift: number, mirrored: boolean): Build => ({
    ...buildOf({ A: 'header', B: 'header' }, []),
    mates: { m: { a: { slot: 'A', connector: 'J' }, b: { slot: 'B', connector: 'J' }, shift, mirrored, glued: false } },
  });
  const partner = (build: Build) =>
    netlist(assemble(build, catalogue))
      .netOf('A.1')!
      .terminals.filter((terminal) => terminal.startsWith('B'));
  expect(partner(mated(0, false))).toEqual(['B.1']);
  expect(partner(mated(1, false))).toEqual(['B.2']);
  expect(partner(mated(0, true))).toEqual(['B.3']);
  expect(partner(mated(1, true))).toEqual([]);
});
