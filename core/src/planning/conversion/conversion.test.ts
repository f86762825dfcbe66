import { describe, expect, it } from 'vitest';
import type { Build } from '../../facts/assembly/build';
import { applyAct } from '../../facts/assembly/applyAct';
import { emptyBuild } from '../../facts/assembly/build';
import { difference } from '../../facts/assembly/difference';
import { benchParts, benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import { judge } from '../../judgement/rules/judge';
import { conversion } from './conversion';
import type { Wish } from '../../facts/plan/wish';
import { keepDormant, movePlace, placeBeside } from './keepDormant';
import { assemble } from '../../facts/assembly/assembly';

const catalogue = benchParts();
const good = buildOf(benchSlots, goodWires());
const made = (from: Build, to: Build) =>
  difference(from, to)
    .flatMap(({ effect }) => effect)
    .reduce(applyAct, assemble(from, catalogue)).build;

describe('a conversion', () => {
  it('opens only what must be opened, and names ports, pads and work', () => {
    const moved = buildOf(
      benchSlots,
      goodWires().map((given) => {
        if (given.id === 'T') return wire('T', 'RX.T', 'FC.R2');
        if (given.id === 'R') return wire('R', 'RX.R', 'FC.T2');
        return given;
      }),
    );
    expect(conversion(assemble(good, catalogue), assemble(moved, catalogue))).toMatchObject({
      opens: ['T.b', 'R.b'],
      cleans: ['FC.R1', 'FC.T1'],
      portsFreed: ['FC/U1'],
      portsTaken: ['FC/U2'],
      partsOff: [],
      partsOn: [],
      dormant: [],
      work: { jointsOpened: 2, jointsMade: 2, contacts: 0, plugs: 0, parts: 0 },
    });
    expect(conversion(assemble(good, catalogue), assemble(good, catalogue)).changes).toEqual([]);
  });

  it('takes a part off and another on, and leads exactly there', () => {
    const { RX: _gone, ...rest } = benchSlots;
    const bare = buildOf(
      rest,
      goodWires().filter(({ id }) => id.startsWith('W')),
    );
    const off = conversion(assemble(good, catalogue), assemble(bare, catalogue));
    expect(off).toMatchObject({
      partsOff: [{ slot: 'RX', model: 'radio' }],
      opens: expect.arrayContaining(['T.a', 'T.b', 'G.b']),
    });
    expect(difference(made(good, bare), bare)).toEqual([]);
    expect(difference(made(emptyBuild, good), good)).toEqual([]);
  });

  it('leaves a part in, dormant and insulated, and still judges it', () => {
    const { RX: _gone, ...rest } = benchSlots;
    const bare = buildOf(
      rest,
      goodWires().filter(({ id }) => id.startsWith('W')),
    );
    const idle = keepDormant(bare, good, 'RX');
    expect(conversion(assemble(good, catalogue), assemble(idle, catalogue))).toMatchObject({
      dormant: ['RX'],
      partsOff: [],
      opens: ['V.b', 'G.b', 'T.b', 'R.b'],
    });
    expect(
      judge(assemble(idle, catalogue), [], [4, 6])
        .filter(({ severity }) => severity !== 'warn')
        .map(({ message }) => message),
    ).toEqual([]);
    const live = { ...idle, wires: { ...idle.wires, V: good.wires.V! } };
    expect(judge(assemble(live, catalogue), [], [4, 6]).map(({ rule }) => rule)).toContain('ground missing');
  });
});

describe('a part that stays in', () => {
  const { RX: _gone, ...rest } = benchSlots;
  const bare = buildOf(
    rest,
    goodWires().filter(({ id }) => id.startsWith('W')),
  );
  const plugged: Build = {
    ...good,
    housings: { H: { id: 'H', family: 'small', pitchMm: 1.25, ways: 2, key: 'latch up' } },
    wires: {
      ...good.wires,
      T: {
        ...good.wires.T!,
        ends: [good.wires.T!.ends[0], { at: { on: 'cavity', housing: 'H', position: 1 }, by: 'crimp' }],
      },
    },
  };

  it('keeps a plug of its own on its wires; out of one that stays in use its contacts are taken', () => {
    const idle = keepDormant(bare, plugged, 'RX');
    expect([idle.wires.T!.ends[1].at, idle.housings.H?.id]).toEqual([{ on: 'cavity', housing: 'H', position: 1 }, 'H']);
    const shared = keepDormant({ ...bare, housings: plugged.housings }, plugged, 'RX');
    expect(shared.wires.T!.ends[1].at).toEqual({ on: 'air', end: 'insulated' });
    expect(difference(made(plugged, idle), idle)).toEqual([]);
    expect(difference(made(plugged, shared), shared)).toEqual([]);
  });

  it('makes room for what comes in its stead, with its wishes and choices', () => {
    const wish: Wish = {
      id: 'receiver RX',
      purpose: 'receiver',
      of: 'RX',
      must: true,
      lossIfDropped: 10,
      ways: ['two-way'],
    };
    const to = placeBeside('RX', good.slots);
    const asked = movePlace(
      {
        slots: good.slots,
        wishes: [wish],
        pinned: [
          { what: 'port', of: 'receiver RX', value: 'FC/U2' },
          { what: 'terminal', of: 'RX.T', value: 'FC.R2' },
        ],
      },
      'RX',
      to,
    );
    expect(Object.keys(asked.slots)).toEqual(['BAT', 'FC', 'RX2']);
    expect(asked.wishes).toEqual([{ ...wish, id: 'receiver RX2', of: 'RX2' }]);
    expect(asked.pinned.map(({ of }) => of)).toEqual(['receiver RX2', 'RX2.T']);
    expect(movePlace(movePlace(asked, 'RX2', 'RX'), 'RX', 'RX2')).toEqual(asked);
    expect([
      movePlace(asked, 'GPS', 'GPS2'),
      placeBeside('RX', asked.slots),
      placeBeside('ANT1', { ANT1: good.slots.RX!, ANT2: good.slots.RX! }),
    ]).toEqual([asked, 'RX3', 'ANT3']);
  });
});
