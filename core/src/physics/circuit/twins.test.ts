/** Circuits in which some pieces are alike: asked with twins as one, and as they are. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Inner } from './port';
import { SideBySide } from './sideBySide';
import { solvePort } from './solve';
import { twinsIn } from './twins';
import { WholeCircuit } from './whole';

const diode: Inner['element'] = { is: 'diode', forwardV: 0.65, atA: 1e-3, seriesOhms: 5 };
const element = fc.oneof(
  fc.constant(diode),
  fc.constantFrom(100, 4_700).map((ohms): Inner['element'] => ({ is: 'resistor', ohms })),
);
const trunk = 4;
const join = fc.record({ a: fc.nat(trunk - 1), b: fc.nat(trunk - 1), element }).filter(({ a, b }) => a !== b);
/** What hangs on some pieces at once, from which pieces of the trunk and which way round. */
const bunch = fc.record({
  count: fc.integer({ min: 2, max: 5 }),
  hangs: fc.array(fc.record({ on: fc.nat(trunk - 1), isOut: fc.boolean(), element }), { minLength: 1, maxLength: 3 }),
});

type Bunch = typeof bunch extends fc.Arbitrary<infer B> ? B : never;

/** @param isHeld A resistor holds every piece: none floats on what leaks. */
function circuitOf(joins: readonly Omit<Inner, 'id'>[], bunches: readonly Bunch[], isHeld: boolean) {
  const held = (piece: number) =>
    isHeld ? [{ a: 0, b: piece, element: { is: 'resistor', ohms: 22_000 } as const }] : [];
  let pieces = trunk;
  const hanging = bunches.flatMap(({ count, hangs }) =>
    Array.from({ length: count }, () => pieces++).flatMap((piece) => [
      ...held(piece),
      ...hangs.map(({ on, isOut, element }) => ({ a: isOut ? piece : on, b: isOut ? on : piece, element })),
    ]),
  );
  const all = [...[1, 2, 3].flatMap(held), ...joins, ...hanging];
  return { pieces, inners: all.map((one, index): Inner => ({ ...one, id: `E${index}` })) };
}

const drive = { volts: 2.5, ohms: 1_000 };

it('are as one asked the same as they are, at the probes and wherever something holds the volts', () => {
  let twins = 0;
  fc.assert(
    fc.property(
      fc.array(join, { minLength: 3, maxLength: 6 }),
      fc.array(bunch, { minLength: 1, maxLength: 2 }),
      fc.boolean(),
      fc.tuple(fc.nat(), fc.nat()),
      (joins, bunches, isHeld, [one, other]) => {
        const { pieces, inners } = circuitOf(joins, bunches, isHeld);
        const [black, red] = [one % pieces, other % pieces];
        const like = new SideBySide();
        const between = new WholeCircuit({ pieces, inners }, like).between(black, red);
        if (black === red || !between) return;
        twins += twinsIn(inners, like.kindOf).length;
        const { volts, portV } = solvePort(between.port, drive, () => null);
        const whole = solvePort({ size: pieces, black, red, branches: inners }, drive, () => null);
        expect(portV).toBeCloseTo(whole.portV, 3);
        if (!isHeld) return;
        const offV = (node: number, piece: number) => volts[node]! - whole.volts[piece]!;
        for (let piece = 0; piece < pieces; piece++) expect(offV(between.nodeOf(piece), piece)).toBeCloseTo(0, 3);
        between.pieces.forEach((piece, node) => expect(offV(node, piece)).toBeCloseTo(0, 3));
      },
    ),
    { numRuns: 400 },
  );
  expect(twins).toBeGreaterThan(200);
});

it('are pieces with the same on them, the same way round', () => {
  const hang = (a: number, b: number): Inner => ({ id: `${a} ${b}`, a, b, element: diode });
  const { kindOf } = new SideBySide();
  expect(twinsIn([hang(0, 2), hang(0, 3), hang(4, 0), hang(2, 1), hang(3, 1), hang(1, 4)], kindOf)).toEqual([[2, 3]]);
});
