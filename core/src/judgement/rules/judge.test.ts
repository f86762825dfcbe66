import { describe, expect, it } from 'vitest';
import type { Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { TerminalRef } from '../../facts/terms/names';
import { benchParts, benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import { judge, judgeSoFar } from './judge';
import { assemble } from '../../facts/assembly/assembly';

const catalogue = benchParts();
const found = (wires: readonly Wire[], cells: readonly [number, number] = [4, 6]) =>
  judge(assemble(buildOf(benchSlots, wires), catalogue), [], cells).map(
    ({ rule, severity, at }) => `${severity} ${rule} ${[...at].sort().join(' ')}`,
  );

/** The good wiring with one end moved. */
function moved(id: string, to: TerminalRef): Wire[] {
  return goodWires().map((given) => (given.id === id ? wire(id, landedOn(given.ends[0]), to) : given));
}

describe('judge', () => {
  it('finds nothing on a good wiring', () => {
    expect(found(goodWires())).toEqual([]);
  });

  it.each([
    ['plus of the battery on ground', 'WP', 'FC.G', 'kill polarity'],
    ['minus of the battery on plus', 'WN', 'FC.VB', 'kill polarity'],
    ['battery on a 5 V pad', 'WP', 'FC.5V', 'kill battery on logic'],
    ['battery on a signal pin', 'WP', 'FC.T1', 'kill battery on logic'],
    ['a 5 V part on the battery rail', 'V', 'FC.VB', 'kill battery on logic RX.V'],
    ['a supply that gives nothing', 'V', 'FC.T2', 'stop'],
    ['a part without ground', 'G', 'FC.R2', 'stop ground missing RX.G'],
    ['transmit on transmit', 'T', 'FC.T1', 'stop crossing'],
    ['two data wires on two ports', 'T', 'FC.R2', 'stop split port'],
    ['a signal on the supply', 'T', 'FC.5V', 'kill battery on logic RX.T'],
    ['a signal on ground', 'T', 'FC.G2', 'stop wrong kind of pad'],
  ])('%s', (_what, id, to, expected) => {
    expect(found(moved(id, to as TerminalRef)).join('\n')).toContain(expected);
  });

  it('holds a supply to the range of the pack, empty and full', () => {
    expect(found(goodWires(), [3, 6]).join()).toContain('stop supply out of range FC.VB');
    expect(found(goodWires(), [6, 7]).join()).toContain('kill supply out of range FC.VB');
  });

  it('lets one port serve one part only', () => {
    const second = { ...benchSlots, RX2: 'radio' };
    const wires = [
      ...moved('R', 'FC.T2'),
      wire('T2', 'RX2.T', 'FC.R1'),
      wire('G3', 'RX2.G', 'FC.G'),
      wire('V3', 'RX2.V', 'FC.5V'),
    ];
    const rules = judge(assemble(buildOf(second, wires), catalogue), [], [4, 6]).map(({ rule }) => rule);
    expect(rules).toContain('one function per port');
  });

  it('counts the wires on a pad', () => {
    expect(found([...goodWires(), wire('X', 'RX.G', 'FC.R2')]).join()).toContain('stop pad full RX.G');
  });

  it('judges a half-built supply by where it will end, and a wrong pad at once', () => {
    const target = buildOf(benchSlots, goodWires());
    const half = (wires: readonly Wire[]) =>
      judgeSoFar(assemble(buildOf(benchSlots, wires), catalogue), assemble(target, catalogue), {
        links: [],
        cells: [4, 6],
      }).map(({ rule }) => rule);
    expect(half([wire('V', 'RX.V', 'FC.5V')])).toEqual([]);
    expect(half([wire('V', 'RX.V', 'FC.VB')])).toContain('battery on logic');
  });
});
