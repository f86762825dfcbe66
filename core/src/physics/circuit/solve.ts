/**
 * Nodal analysis of a port circuit with Newton's method for the diodes.
 * Capacitors enter as a voltage behind a resistance, which also serves one implicit step in time.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { DiodeLaw } from './diode';
import { diodeAt } from './diode';
import type { PortCircuit } from './reduce';

/** What the probes drive: open volts behind a resistance, or a current (amps) with a limit in volts. */
export type Drive = { volts: number; ohms: number } | null;

/** For each capacitor: the volts it stands at and the resistance behind them; null leaves it open. */
export type CapacitorAs = (id: string) => { volts: number; ohms: number } | null;

interface Solution {
  volts: readonly number[];
  /** Red against black. */
  portV: number;
  /** Into the plus side of each capacitor, in A. */
  capacitorA: Readonly<Record<string, number>>;
}

/** Leak from every node to the black probe that keeps floating nodes solvable. */
const leakSiemens = 1e-10;
const toleranceV = 1e-5;
const maxSteps = 200;
/** Newton steps are cut to this, so that exponentials do not overshoot. */
const longestStepV = 0.2;

interface System {
  /** Conductances without node 0, the black probe, which is the reference. Symmetric and positive definite. */
  siemens: Matrix;
  amps: number[];
}

/** Adds a conductance between two nodes. */
function connect({ siemens }: System, a: number, b: number, value: number): void {
  const [i, j] = [a - 1, b - 1];
  if (i >= 0) siemens.set(i, i, siemens.get(i, i) + value);
  if (j >= 0) siemens.set(j, j, siemens.get(j, j) + value);
  if (i < 0 || j < 0) return;
  siemens.set(i, j, siemens.get(i, j) - value);
  siemens.set(j, i, siemens.get(j, i) - value);
}

/** Adds a current that is pushed out of a into b. */
function push({ amps }: System, a: number, b: number, value: number): void {
  if (a > 0) amps[a - 1] = amps[a - 1]! - value;
  if (b > 0) amps[b - 1] = amps[b - 1]! + value;
}

/** @throws {Error} If Newton's method does not settle. */
export function solvePort(
  circuit: PortCircuit,
  drive: Drive,
  capacitorAs: CapacitorAs,
  guess?: readonly number[],
): Solution {
  const unknowns = circuit.size - 1;
  const linear: System = { siemens: Matrix.zeros(unknowns, unknowns), amps: new Array<number>(unknowns).fill(0) };
  const diodes: PlacedDiode[] = [];
  const capacitors: { id: string; a: number; b: number; volts: number; ohms: number }[] = [];
  for (const { id, a, b, element } of circuit.branches) {
    if (element.is === 'resistor') connect(linear, a, b, 1 / element.ohms);
    else if (element.is === 'diode') diodes.push({ a, b, law: element });
    else {
      const as = capacitorAs(id);
      if (!as) continue;
      capacitors.push({ id, a, b, ...as });
      connect(linear, a, b, 1 / as.ohms);
      push(linear, b, a, as.volts / as.ohms);
    }
  }
  if (drive) {
    connect(linear, circuit.red, 0, 1 / drive.ohms);
    push(linear, 0, circuit.red, drive.volts / drive.ohms);
  }
  for (let i = 0; i < unknowns; i++) linear.siemens.set(i, i, linear.siemens.get(i, i) + leakSiemens);

  const volts = newton(linear, diodes, guess ?? new Array<number>(circuit.size).fill(0));
  const capacitorA: Record<string, number> = {};
  for (const { id, a, b, volts: own, ohms } of capacitors) capacitorA[id] = (volts[a]! - volts[b]! - own) / ohms;
  return { volts, portV: volts[circuit.red]!, capacitorA };
}

interface PlacedDiode {
  a: number;
  b: number;
  law: DiodeLaw;
}

function newton(linear: System, diodes: readonly PlacedDiode[], guess: readonly number[]): number[] {
  let volts = [...guess];
  for (let step = 0; step < maxSteps; step++) {
    const system: System = { siemens: linear.siemens.clone(), amps: [...linear.amps] };
    for (const { a, b, law } of diodes) {
      const across = volts[a]! - volts[b]!;
      const { amps, siemens } = diodeAt(law, across);
      connect(system, a, b, siemens);
      push(system, a, b, amps - siemens * across);
    }
    const next = [0, ...new CholeskyDecomposition(system.siemens).solve(Matrix.columnVector(system.amps)).to1DArray()];
    const change = next.map((value, node) => value - volts[node]!);
    const largest = Math.max(...change.map(Math.abs));
    if (largest < toleranceV || diodes.length === 0) return next;
    const cut = largest > longestStepV ? longestStepV / largest : 1;
    volts = volts.map((value, node) => value + cut * change[node]!);
  }
  throw new Error('the circuit did not settle');
}
