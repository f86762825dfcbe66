/**
 * Nodal analysis of a port circuit with Newton's method for the diodes.
 * Capacitors enter as a voltage behind a resistance, which also serves one implicit step in time.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { DiodeLaw } from './diode';
import { diodeAt } from './diode';
import type { PortCircuit } from './reduce';

/** What the probes drive: open volts behind a resistance, or a current (amps) with a limit in volts. */
export type Drive = { volts: number; ohms: number } | { amps: number; limitV: number } | null;

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
  if (drive && 'ohms' in drive) {
    connect(linear, circuit.red, 0, 1 / drive.ohms);
    push(linear, 0, circuit.red, drive.volts / drive.ohms);
  }
  const curved: Curved[] = diodes.map(({ a, b, law }) => ({ a, b, at: (across) => diodeAt(law, across) }));
  if (drive && 'amps' in drive) curved.push({ a: circuit.red, b: 0, at: (across) => limitedAt(drive, across) });
  for (let i = 0; i < unknowns; i++) linear.siemens.set(i, i, linear.siemens.get(i, i) + leakSiemens);

  const volts = newton(linear, curved, guess ?? new Array<number>(circuit.size).fill(0));
  const capacitorA: Record<string, number> = {};
  for (const { id, a, b, volts: own, ohms } of capacitors) capacitorA[id] = (volts[a]! - volts[b]! - own) / ohms;
  return { volts, portV: volts[circuit.red]!, capacitorA };
}

interface PlacedDiode {
  a: number;
  b: number;
  law: DiodeLaw;
}

/** What carries a current from a to b that bends with the volts across it, and never falls with them. */
interface Curved {
  a: number;
  b: number;
  at: (across: number) => { amps: number; siemens: number };
}

/** Share of the limit over which a current source gives way. */
const kneeShare = 0.003;

/**
 * A constant current that gives way to a constant voltage: whichever is less, rounded where the two meet. Counted out
 * of the port, so that it rises with the volts as every other element does.
 */
function limitedAt(
  { amps, limitV }: { amps: number; limitV: number },
  across: number,
): { amps: number; siemens: number } {
  const ohms = (kneeShare * limitV) / amps;
  const soft = kneeShare * amps;
  const over = (limitV - across) / ohms;
  // The lesser of two by its logarithm, taken from the lesser one so that nothing overflows.
  const [least, apart] = [Math.min(amps, over), Math.abs(amps - over)];
  const given = least - soft * Math.log1p(Math.exp(-apart / soft));
  const share = 1 / (1 + Math.exp((over - amps) / soft));
  return { amps: -given, siemens: share / ohms };
}

/**
 * Newton's method. Every element carries more the more volts it has, so the solution is one and the way there leads
 * down: where full steps do not settle, each step is halved until it comes nearer.
 * @throws {Error} If that does not settle either.
 */
function newton(linear: System, curved: readonly Curved[], guess: readonly number[]): number[] {
  let volts = [...guess];
  for (let step = 0; step < maxSteps; step++) {
    const next = stepFrom(linear, curved, volts);
    const change = next.map((value, node) => value - volts[node]!);
    const largest = Math.max(...change.map(Math.abs));
    if (largest < toleranceV || curved.length === 0) return next;
    const cut = largest > longestStepV ? longestStepV / largest : 1;
    volts = volts.map((value, node) => value + cut * change[node]!);
  }
  return downhill(linear, curved, [...guess]);
}

function downhill(linear: System, curved: readonly Curved[], guess: readonly number[]): number[] {
  let volts = [...guess];
  let miss = missing(linear, curved, volts);
  for (let step = 0; step < maxSteps; step++) {
    const next = stepFrom(linear, curved, volts);
    const change = next.map((value, node) => value - volts[node]!);
    let share = 1;
    let tried = next;
    let left = missing(linear, curved, tried);
    for (; left > miss * (1 - share / 10) && share > 1e-6; left = missing(linear, curved, tried)) {
      share /= 2;
      tried = volts.map((value, node) => value + share * change[node]!);
    }
    volts = tried;
    miss = left;
    if (Math.max(...change.map(Math.abs)) < toleranceV) return volts;
  }
  throw new Error('the circuit did not settle');
}

/** Where a straight line laid on every bent element leads. */
function stepFrom(linear: System, curved: readonly Curved[], volts: readonly number[]): number[] {
  const system: System = { siemens: linear.siemens.clone(), amps: [...linear.amps] };
  for (const { a, b, at } of curved) {
    const across = volts[a]! - volts[b]!;
    const { amps, siemens } = at(across);
    connect(system, a, b, siemens);
    push(system, a, b, amps - siemens * across);
  }
  return [0, ...new CholeskyDecomposition(system.siemens).solve(Matrix.columnVector(system.amps)).to1DArray()];
}

/** Length of the currents that are left over at the nodes, in A. */
function missing(linear: System, curved: readonly Curved[], volts: readonly number[]): number {
  const left: System = { siemens: linear.siemens, amps: [...linear.amps] };
  for (const { a, b, at } of curved) push(left, a, b, at(volts[a]! - volts[b]!).amps);
  const through = linear.siemens.mmul(Matrix.columnVector(volts.slice(1))).to1DArray();
  return Math.hypot(...left.amps.map((amps, node) => amps - through[node]!));
}
