/**
 * What must hold of nets, rules, supplies and motors whatever the wiring: on the twelve hand-wired builds and on what
 * blind mutations make of them.
 */
import type { Build, Wire } from '@junctor/core';
import { judge, motorMap, netlist, supplyTree, terminalRef, tiltSigns, assemble } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { catalogue, goodBuilds } from '../trials/ruleTrial';
import { mutate } from '../generators/mutate';

const builds = goodBuilds();
const mutants = builds.flatMap((good) =>
  mutate(good.build, catalogue, good.cells)
    .filter((_, index) => index % 101 === 0)
    .map((mutant) => ({ good, mutant })),
);

/** The wires in another order and under other names; leads that parts bring keep theirs. */
function renamed({ wires, ...build }: Build): Build {
  const all = Object.values(wires)
    .reverse()
    .map((wire, index): Wire => (wire.tailOf ? wire : { ...wire, id: `X${index}` }));
  return { ...build, wires: Object.fromEntries(all.map((wire) => [wire.id, wire])) };
}

const withoutWire = (build: Build, id: string): Build => ({
  ...build,
  wires: Object.fromEntries(Object.entries(build.wires).filter(([one]) => one !== id)),
});

describe('nets', () => {
  it('hold every terminal once, and each wire with both of its ends', () => {
    for (const { build } of [...builds, ...mutants.map(({ mutant }) => mutant)]) {
      const nets = netlist(assemble(build, catalogue));
      const all = nets.nets.flatMap(({ terminals }) => terminals);
      const wanted = Object.keys(build.slots).flatMap((slot) =>
        assemble(build, catalogue)
          .model(slot)!
          .terminals.map(({ id }) => terminalRef(slot, id)),
      );
      expect([...all].sort()).toEqual([...wanted].sort());
      for (const wire of Object.values(build.wires)) {
        const net = nets.netOfWire(wire.id);
        for (const { at } of wire.ends) if (at.on === 'terminal') expect(nets.netOf(at.ref)).toBe(net);
      }
    }
  });

  it('come apart or stay when a wire is taken out, and never join', () => {
    for (const { build } of builds.slice(0, 4)) {
      const whole = netlist(assemble(build, catalogue));
      for (const id of Object.keys(build.wires).filter((_, index) => index % 5 === 0)) {
        const less = netlist(assemble(withoutWire(build, id), catalogue));
        expect(less.nets.length).toBeGreaterThanOrEqual(whole.nets.length);
        for (const { terminals } of less.nets) expect(new Set(terminals.map((ref) => whole.netOf(ref))).size).toBe(1);
      }
    }
  });
});

describe('rules', () => {
  it('say the same whatever wires are called and in whatever order they come', () => {
    const said = (build: Build, good: (typeof builds)[number], cells: readonly [number, number]) =>
      judge(assemble(build, catalogue), good.links, cells)
        .map(({ severity, rule, at }) => `${severity} ${rule} ${[...at].sort().join()}`)
        .sort();
    for (const { good, mutant } of mutants)
      expect([mutant.what, said(renamed(mutant.build), good, mutant.cells)]).toEqual([
        mutant.what,
        said(mutant.build, good, mutant.cells),
      ]);
  });

  it('name terminals and wires that exist, in words, each finding once', () => {
    for (const {
      good,
      mutant: { build, cells },
    } of mutants) {
      const found = judge(assemble(build, catalogue), good.links, cells);
      expect(new Set(found.map(({ key }) => key)).size).toBe(found.length);
      for (const { at, wires, message } of found) {
        for (const ref of at) expect(netlist(assemble(build, catalogue)).netOf(ref)).not.toBeNull();
        for (const id of wires) expect(build.wires).toHaveProperty([id]);
        expect(message).toMatch(/^\S.*\.$/s);
        expect(message).not.toMatch(/undefined|NaN|null|\[object/);
      }
    }
  });

  it('say kill before stop before warning', () => {
    const rank = { kill: 0, stop: 1, warn: 2 };
    for (const {
      good,
      mutant: { build, cells },
    } of mutants) {
      const order = judge(assemble(build, catalogue), good.links, cells).map(({ severity }) => rank[severity]);
      expect(order).toEqual([...order].sort());
    }
  });
});

describe('supplies', () => {
  it('balance: what a rail gives is what its loads draw and its children take, and no regulator gives more power than it takes', () => {
    for (const { build, cells } of builds) {
      const { rails, packV } = supplyTree(assemble(build, catalogue), cells);
      for (const rail of rails) {
        const children = rails.filter(({ parent }) => parent === rail.id);
        const constant = rail.draws.every(({ slot, load }) =>
          assemble(build, catalogue)
            .model(slot)!
            .elements.some((element) => element.id === load && element.is === 'load' && element.constant !== 'power'),
        );
        const drawn =
          rail.draws.reduce((sum, { typical }) => sum + typical, 0) +
          children.reduce((sum, child) => sum + child.in.empty.typical, 0);
        if (constant) expect(rail.out.empty.typical).toBeCloseTo(drawn, 9);
        const parent = rails.find(({ id }) => id === rail.parent);
        for (const [which, end] of [
          ['empty', 0],
          ['full', 1],
        ] as const) {
          const inV = parent ? parent.volts[end] : packV[end];
          if (rail.slot && rail.volts[end] > 0)
            expect(rail.in[which].typical * inV).toBeGreaterThanOrEqual(
              rail.out[which].typical * rail.volts[end] - 1e-9,
            );
          expect(rail.out[which].idle).toBeLessThanOrEqual(rail.out[which].typical + 1e-12);
          expect(rail.out[which].typical).toBeLessThanOrEqual(rail.out[which].peak + 1e-12);
        }
        // A linear one does not care, a switching one takes most where its input is lowest.
        if (rail.slot) expect(rail.in.empty.typical).toBeGreaterThanOrEqual(rail.in.full.typical - 1e-9);
      }
    }
  });

  it('draw no less with a part more', () => {
    for (const { build, cells } of builds) {
      const whole = supplyTree(assemble(build, catalogue), cells).rails[0]!.out.empty.peak;
      for (const slot of Object.keys(build.slots).filter((key) =>
        ['receiver', 'positioning', 'lights', 'buzzer'].includes(assemble(build, catalogue).model(key)!.kind),
      )) {
        const { [slot]: _gone, ...slots } = build.slots;
        const wires = Object.fromEntries(
          Object.entries(build.wires).filter(
            ([, { ends, tailOf }]) =>
              !tailOf?.startsWith(`${slot}.`) &&
              !ends.some(({ at }) => at.on === 'terminal' && at.ref.startsWith(`${slot}.`)),
          ),
        );
        const mates = Object.fromEntries(
          Object.entries(build.mates).filter(
            ([, { a, b }]) => ![a, b].some((side) => 'slot' in side && side.slot === slot),
          ),
        );
        expect(
          supplyTree(assemble({ ...build, slots, wires, mates }, catalogue), cells).rails[0]!.out.empty.peak,
        ).toBeLessThanOrEqual(whole + 1e-9);
      }
    }
  });
});

describe('motors', () => {
  it('exchange their outputs when all their leads are exchanged, and all senses turn with the convention', () => {
    for (const { build } of builds) {
      const map = motorMap(assemble(build, catalogue));
      const [one, other] = map.filter(({ channel }) => channel !== null);
      if (!one || !other) continue;
      const swap = (wire: Wire): Wire => {
        const twin = (from: string, to: string) =>
          wire.tailOf?.startsWith(`${from}.`) ? build.wires[`${to}-${wire.tailOf.slice(from.length + 1)}`] : undefined;
        const to = twin(one.slot, other.slot) ?? twin(other.slot, one.slot);
        return to ? { ...wire, ends: [wire.ends[0], to.ends[1]] } : wire;
      };
      const turned = motorMap(
        assemble(
          { ...build, wires: Object.fromEntries(Object.entries(build.wires).map(([id, wire]) => [id, swap(wire)])) },
          catalogue,
        ),
      );
      const output = (list: typeof map, slot: string) => list.find((motor) => motor.slot === slot)!.output;
      if (assemble(build, catalogue).model(one.slot)!.id === assemble(build, catalogue).model(other.slot)!.id)
        expect([output(turned, one.slot), output(turned, other.slot)]).toEqual([other.output, one.output]);
      expect(motorMap(assemble(build, catalogue), 'reversed').map(({ sense }) => sense)).toEqual(
        map.map(({ sense }) => (sense === 'clockwise' ? 'anticlockwise' : 'clockwise')),
      );
    }
  });

  it('tilt as rotation matrices say: the board feels the aircraft’s turn in its own axes', () => {
    for (const yawDeg of [0, 90, 180, 270] as const) {
      for (const upsideDown of [false, true]) {
        const turn = (-yawDeg * Math.PI) / 180;
        // Columns: where the board's own right, front and up point in the aircraft. Turned over about its front first.
        const flip = upsideDown ? -1 : 1;
        const right = [flip * Math.cos(turn), flip * Math.sin(turn), 0];
        const front = [-Math.sin(turn), Math.cos(turn), 0];
        const up = [0, 0, flip];
        const dot = (a: readonly number[], b: readonly number[]) =>
          a.reduce((sum, item, axis) => sum + item * b[axis]!, 0);
        // Right hand: nose down turns about minus right, right side down about front, turning right about minus up.
        const about = { 'nose down': [-1, 0, 0], 'right side down': [0, 1, 0], 'turned right': [0, 0, -1] } as const;
        for (const { tilt, board } of tiltSigns({ yawDeg, upsideDown })) {
          const felt = { pitch: -dot(about[tilt], right), roll: dot(about[tilt], front), yaw: -dot(about[tilt], up) };
          expect([yawDeg, upsideDown, tilt, Math.round(felt[board.axis])]).toEqual([
            yawDeg,
            upsideDown,
            tilt,
            board.polarity,
          ]);
        }
      }
    }
  });
});
