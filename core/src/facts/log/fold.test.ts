import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { QuadRecord } from './records';
import { benchParts, benchSlots, buildOf, fitted, goodWires, logOf, wire } from '../../testing/fixtures';
import { bodyOf, difference } from '../assembly/difference';
import { applyAct } from '../assembly/applyAct';
import { emptyBuild } from '../assembly/build';
import type { Build, Wire } from '../assembly/build';
import { fold } from './fold';
import { assemble } from '../assembly/assembly';

const catalogue = benchParts();
const foldedLog = (log: readonly QuadRecord[]) => fold(log, catalogue);
const folded = (log: readonly QuadRecord[]) => foldedLog(log).asBuilt;
const fit = (slot: keyof typeof benchSlots) => ({ do: 'fit', slot, fitted: fitted(benchSlots[slot]) }) as const;
const land = (wire: Wire, end: 0 | 1) =>
  ({ do: 'land', wire: wire.id, end, as: wire.ends[end], body: bodyOf(wire) }) as const;

describe('fold', () => {
  it('puts a correction in the place of what it corrects', () => {
    const wrong = wire('T', 'RX.T', 'FC.T1');
    const right = wire('T', 'RX.T', 'FC.R1');
    const log = logOf(
      fit('FC'),
      fit('RX'),
      land(wrong, 1),
      { do: 'reheat', wire: 'T', end: 1, dwellS: null },
      { replaces: 'r3', body: land(right, 1) },
    );
    const { build: built } = folded(log);
    expect(built.wires.T!.ends[1].at).toEqual({ on: 'terminal', ref: 'FC.R1' });
    expect(built.heats).toEqual({ 'FC.R1': 2 });
  });

  it('forgets what was taken back, and what was taken back of a correction', () => {
    const log = logOf(fit('FC'), fit('RX'), { replaces: 'r2', body: { saw: 'taken back', reason: 'no' } });
    expect(Object.keys(folded(log).build.slots)).toEqual(['FC']);
    const again = logOf(
      fit('FC'),
      { replaces: 'r1', body: fit('RX') },
      { replaces: 'r2', body: { saw: 'taken back', reason: 'no' } },
    );
    expect(Object.keys(folded(again).build.slots)).toEqual([]);
  });

  it('counts the same joint told twice as one', () => {
    const one = wire('T', 'RX.T', 'FC.R1');
    const once = folded(logOf(fit('FC'), fit('RX'), land(one, 1)));
    expect(folded(logOf(fit('FC'), fit('RX'), land(one, 1), land(one, 1))).build).toEqual(once.build);
  });

  it('takes a part off with its joints, and leaves the wires bare', () => {
    const { build: built } = folded(
      logOf(fit('FC'), fit('RX'), land(goodWires()[4]!, 0), land(goodWires()[4]!, 1), {
        do: 'take off',
        slot: 'FC',
        to: 'scrap',
      }),
    );
    expect(built.wires.T!.ends.map(({ at }) => at.on)).toEqual(['terminal', 'air']);
    expect(built.heats).toEqual({ 'RX.T': 1 });
  });

  it('folds stored records by seq, whatever order they come in', () => {
    const log = logOf(fit('FC'), fit('RX'), land(goodWires()[4]!, 1), {
      do: 'free',
      wire: 'T',
      end: 1,
      left: 'clean',
      now: 'bare',
    });
    fc.assert(
      fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (mixed: QuadRecord[]) => {
        expect(folded(mixed).build).toEqual(folded(log).build);
      }),
    );
  });

  it('traces the nets an act touched, before and after it', () => {
    const { acts } = foldedLog(
      logOf(fit('FC'), fit('RX'), land(goodWires()[4]!, 0), land(goodWires()[4]!, 1), {
        do: 'free',
        wire: 'T',
        end: 1,
        left: 'clean',
        now: 'bare',
      }),
    );
    expect([...acts[4]!.touched()].sort()).toEqual(['FC.R1', 'RX.T']);
    expect(acts[4]!.joints).toEqual(['T.b']);
  });
});

/** Builds over the bench parts with any subset of slots and any landings. */
const anyBuild: fc.Arbitrary<Build> = fc
  .record({
    slots: fc.subarray(['BAT', 'FC', 'RX'] as const),
    ends: fc.array(fc.tuple(fc.nat(5), fc.nat(3), fc.nat(7)), { maxLength: 6 }),
  })
  .map(({ slots, ends }) => {
    const board = ['VB', 'G', '5V', 'T1', 'R1', 'T2', 'R2', 'G2'] as const;
    const radio = ['V', 'G', 'T', 'R'] as const;
    const wires = new Map<number, Wire>();
    for (const [id, a, b] of ends) {
      wires.set(
        id,
        wire(
          `W${id}`,
          slots.includes('RX') ? `RX.${radio[a]!}` : null,
          slots.includes('FC') ? `FC.${board[b]!}` : null,
        ),
      );
    }
    return buildOf(Object.fromEntries(slots.map((slot) => [slot, benchSlots[slot]])), [...wires.values()]);
  });

describe('difference', () => {
  const same = ({ slots, wires, mates }: Build) => ({
    slots,
    mates,
    ends: Object.fromEntries(
      Object.values(wires)
        .filter(({ ends }) => ends.some(({ at }) => at.on !== 'air'))
        .map((wire) => [wire.id, wire.ends.map(({ at }) => at)]),
    ),
  });

  it('leads from any build to any other', () => {
    fc.assert(
      fc.property(anyBuild, anyBuild, (from, to) => {
        const reached = difference(from, to)
          .flatMap(({ effect }) => effect)
          .reduce(applyAct, assemble(from, catalogue)).build;
        expect(same(reached)).toEqual(same(to));
      }),
      { numRuns: 400 },
    );
  });

  it('is empty once the plan is built, and names joints by wire and end', () => {
    const target = buildOf(benchSlots, goodWires());
    const steps = difference(emptyBuild, target);
    expect(steps.map(({ verb, subject }) => `${verb}:${subject}`)).toContain('land:T.b');
    const built = steps.flatMap(({ effect }) => effect).reduce(applyAct, assemble(emptyBuild, catalogue)).build;
    expect(difference(built, target)).toEqual([]);
  });

  it('offers to free and land a wire that is on another pad', () => {
    const target = buildOf(benchSlots, [wire('T', 'RX.T', 'FC.R1')]);
    const built = buildOf(benchSlots, [wire('T', 'RX.T', 'FC.R2')]);
    expect(difference(built, target).map(({ verb, subject }) => `${verb}:${subject}`)).toEqual([
      'free:T.b',
      'land:T.b',
    ]);
  });
});
