/**
 * The ends that are walked: every one of the plan and of the quad once, soldered or in a plug, and what of them is
 * there already.
 */
import type { Build } from '@junctor/core';
import { landedOn, terminalUnder, assemble } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import type { Bench } from '../../bench/provider/bench';
import { catalogue, demoPlan } from '../../testing/demo';
import { endWords, walkedEnds, walkedWords } from './landings';

const [asFound, target] = [demoPlan('culvert-as-found').target, demoPlan('culvert-conversion').target];

/** What the walk needs of a bench. */
const benchOf = (asBuilt: Build, planned: Build) =>
  ({ state: { asBuilt: assemble(asBuilt, catalogue), target: assemble(planned, catalogue) } }) as unknown as Bench;
const name = ({ wire, end }: { wire: { id: string }; end: number }) => `${wire.id}.${'ab'[end]}`;

describe('the ends that are walked in a conversion', () => {
  const bench = benchOf(asFound, target);
  const ends = walkedEnds(bench);

  it('are each end of the plan and of the quad that is on something, once', () => {
    const names = ends.map(name);
    expect(new Set(names).size).toBe(names.length);
    const on = (build: Build) =>
      Object.values(build.wires).flatMap((wire) =>
        wire.ends.flatMap((end, index) =>
          end.by !== 'factory' && terminalUnder(assemble(build, catalogue), end) ? [`${wire.id}.${'ab'[index]}`] : [],
        ),
      );
    const gone = on(asFound).filter((joint) => !(joint.slice(0, -2) in target.wires));
    expect([...names].sort()).toEqual([...on(target), ...gone].sort());
  });

  it('tell contacts of plugs from joints', () => {
    const c54 = ends.filter(({ wire }) => wire.id === 'C5-1');
    expect(c54.map(({ plugged, planned }) => [plugged, planned])).toEqual([
      [true, 'FC.J1.1'],
      [true, 'VTX.J1.1'],
    ]);
    expect(ends.filter(({ wire }) => wire.id === 'M1-A').map(({ plugged }) => plugged)).toEqual([false]);
  });

  it('do not take a joint on the old receiver for one on the new', () => {
    const [onPlug, onRadio] = ends.filter(({ wire }) => wire.id === 'C1-4');
    expect([onPlug!.planned, onPlug!.now]).toEqual(['FC.J1.4', 'FC.J1.4']);
    expect(landedOn(asFound.wires['C1-4']!.ends[0])).toBe('RX.TX');
    expect([onRadio!.planned, onRadio!.now]).toEqual(['RX.TX', null]);
    expect([endWords(bench, onPlug!), endWords(bench, onRadio!)]).toEqual(['● yellow → R3', '○ yellow → TX']);
  });

  it('name what comes off by what the quad has', () => {
    const off = ends.filter(({ planned }) => planned === null);
    expect(off.length).toBeGreaterThan(5);
    expect(off.every(({ now }) => now !== null)).toBe(true);
    const video = off.find(({ now }) => now === 'FC.CAM')!;
    expect([endWords(bench, video), walkedWords(bench, video)]).toEqual([
      '╱ yellow off CAM',
      'the yellow wire of the camera’s lead',
    ]);
  });
});

describe('the ends that are walked', () => {
  it('of a wire that went elsewhere say so', () => {
    const wire = target.wires['M1-A']!;
    const astray = {
      ...target,
      wires: {
        ...target.wires,
        'M1-A': { ...wire, ends: [wire.ends[0], { ...wire.ends[1], at: { on: 'terminal', ref: 'FC.B1' } }] as const },
      },
    } as Build;
    const bench = benchOf(astray, target);
    const [end] = walkedEnds(bench).filter((end) => end.wire.id === 'M1-A');
    expect([end!.planned, end!.now, endWords(bench, end!)]).toEqual(['FC.A1', 'FC.B1', '▲ M1 A → A1']);
  });

  it('are none where nothing is wired', () => {
    const bare = { ...target, wires: {}, housings: {}, mates: {} };
    expect(walkedEnds(benchOf(bare, bare))).toEqual([]);
  });
});
