/** Circuits that are changed on paper and by the factors of what they were. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { Linearised } from './linearised';
import type { Inner, PortCircuit } from './port';
import { solvePort } from './solve';

const drive = { volts: 2.5, ohms: 1000 };
const resistor = (ohms: number): Inner['element'] => ({ is: 'resistor', ohms });
const port = (size: number, branches: readonly Omit<Inner, 'id'>[]): PortCircuit => ({
  size,
  black: 0,
  red: 1,
  branches: branches.map((branch, index) => ({ id: `e${index}`, ...branch })),
});
const portV = (circuit: PortCircuit) => solvePort(circuit, drive, () => null).portV;

/** Six nodes, each tied to the one before and to one of those before it, and what is done to them. */
const changes = fc.record({
  ohms: fc.array(fc.integer({ min: 10, max: 9000 }), { minLength: 10, maxLength: 10 }),
  to: fc.array(fc.nat(5), { minLength: 5, maxLength: 5 }),
  which: fc.nat(9),
  place: fc.tuple(fc.nat(5), fc.nat(5)),
  joined: fc.tuple(fc.nat(5), fc.nat(5)),
});
const net = ({ ohms, to }: { ohms: readonly number[]; to: readonly number[] }) =>
  to.flatMap((other, index) => [
    { a: index, b: index + 1, element: resistor(ohms[2 * index]!) },
    { a: Math.min(other, index), b: index + 1, element: resistor(ohms[2 * index + 1]!) },
  ]);

it('finds what moving an element and joining two nodes makes of resistors, exactly', () => {
  fc.assert(
    fc.property(changes, ({ which, place: [a, b], joined: [x, y], ...drawn }) => {
      const branches = net(drawn);
      const good = port(6, branches);
      const { volts, portV: goodV } = solvePort(good, drive, () => null);
      const { element, a: from, b: into } = branches[which]!;
      const { portV: movedV, overA } = new Linearised(good, drive, volts).movedBy({
        replaced: [{ element, from: [from, into], to: [a, b] }],
        joined: [{ ends: [x, y], ohms: 2 }],
        added: 0,
      });
      const others = branches.filter((_, index) => index !== which);
      const faulty = [...others, { a, b, element }, { a: x, b: y, element: resistor(2) }];
      expect(goodV + movedV).toBeCloseTo(
        portV(
          port(
            6,
            faulty.filter((one) => one.a !== one.b),
          ),
        ),
        5,
      );
      expect(overA).toBe(0);
    }),
    { numRuns: 300 },
  );
});

it('hangs elements on a node that was not there', () => {
  fc.assert(
    fc.property(changes, (drawn) => {
      const branches = net(drawn);
      const good = port(6, branches);
      const { volts, portV: goodV } = solvePort(good, drive, () => null);
      // What lies between node 5 and others falls off it, together.
      const falling = branches.filter(({ b }) => b === 5);
      const { portV: movedV } = new Linearised(good, drive, volts).movedBy({
        replaced: falling.map(({ element, a, b }) => ({ element, from: [a, b], to: [a, 6] })),
        joined: [],
        added: 1,
      });
      const faulty = branches.map((one) => (one.b === 5 ? { ...one, b: 6 } : one));
      expect(goodV + movedV).toBeCloseTo(portV(port(7, faulty)), 5);
    }),
    { numRuns: 100 },
  );
});

it('says how far it is from the truth where a junction bends', () => {
  const diode: Inner['element'] = { is: 'diode', forwardV: 0.6, atA: 0.001, seriesOhms: 1 };
  const good = port(3, [
    { a: 1, b: 0, element: resistor(5000) },
    { a: 2, b: 0, element: resistor(800) },
    { a: 2, b: 0, element: diode },
  ]);
  const { volts } = solvePort(good, drive, () => null);
  const joined = { replaced: [], joined: [{ ends: [1, 2] as const, ohms: 0.1 }], added: 0 };
  expect(new Linearised(good, drive, volts).movedBy(joined).overA).toBeGreaterThan(1e-4);
});
