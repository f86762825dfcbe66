/**
 * Nodal analysis of a port circuit with Newton's method for the diodes.
 * Capacitors enter as a voltage behind a resistance, which also serves one implicit step in time.
 */
import type { MeterSource } from '../../facts/terms/meter';
import type { DiodeLaw } from './diode';
import { diodeAt } from './diode';
import { factorSymmetric, solveFactored } from './ldl';
import type { PortCircuit } from './port';

/** What the probes drive: open volts behind a resistance, or a current (amps) with a limit in volts. */
export type Drive = { volts: number; ohms: number } | { amps: number; limitV: number } | null;

/** What a meter's source drives. */
export function driveOf({ seriesOhms, limitV, limitA }: MeterSource): NonNullable<Drive> {
  return seriesOhms === null ? { amps: limitA, limitV } : { volts: limitV, ohms: seriesOhms };
}

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
  unknowns: number;
  /** Conductances without node 0, the black probe, which is the reference. By rows, symmetric, positive definite. */
  siemens: Float64Array;
  amps: Float64Array;
}

/** Adds a conductance between two nodes. */
function connect({ siemens, unknowns }: System, a: number, b: number, value: number): void {
  const [i, j] = [a - 1, b - 1];
  if (i >= 0) siemens[i * unknowns + i]! += value;
  if (j >= 0) siemens[j * unknowns + j]! += value;
  if (i < 0 || j < 0) return;
  siemens[i * unknowns + j]! -= value;
  siemens[j * unknowns + i]! -= value;
}

/** Adds a current that is pushed out of a into b. */
function push({ amps }: System, a: number, b: number, value: number): void {
  if (a > 0) amps[a - 1]! -= value;
  if (b > 0) amps[b - 1]! += value;
}

/** @throws {Error} If Newton's method does not settle. */
export function solvePort(
  circuit: PortCircuit,
  drive: Drive,
  capacitorAs: CapacitorAs,
  guess?: readonly number[],
): Solution {
  const { linear, curved, capacitors } = systemOf(circuit, drive, capacitorAs);
  const volts = newton(linear, curved, guess ?? new Array<number>(circuit.size).fill(0));
  const capacitorA: Record<string, number> = {};
  for (const { id, a, b, volts: own, ohms } of capacitors) capacitorA[id] = (volts[a]! - volts[b]! - own) / ohms;
  return { volts, portV: volts[circuit.red]!, capacitorA };
}

/** The circuit as equations, with what bends beside them. */
function systemOf(
  circuit: PortCircuit,
  drive: Drive,
  capacitorAs: CapacitorAs,
): { linear: System; curved: Curved[]; capacitors: PlacedCapacitor[] } {
  const unknowns = circuit.size - 1;
  const linear: System = {
    unknowns,
    siemens: new Float64Array(unknowns * unknowns),
    amps: new Float64Array(unknowns),
  };
  const diodes: PlacedDiode[] = [];
  const capacitors: PlacedCapacitor[] = [];
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
  for (let i = 0; i < unknowns; i++) linear.siemens[i * unknowns + i]! += leakSiemens;
  return { linear, curved, capacitors };
}

interface PlacedCapacitor {
  id: string;
  a: number;
  b: number;
  volts: number;
  ohms: number;
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
  const { siemens, amps, unknowns } = straightened(linear, curved, volts);
  factorSymmetric(siemens, unknowns);
  solveFactored(siemens, amps);
  return [0, ...amps];
}

function straightened(linear: System, curved: readonly Curved[], volts: readonly number[]): System {
  const system: System = { ...linear, siemens: linear.siemens.slice(), amps: linear.amps.slice() };
  for (const { a, b, at } of curved) {
    const across = volts[a]! - volts[b]!;
    const { amps, siemens } = at(across);
    connect(system, a, b, siemens);
    push(system, a, b, amps - siemens * across);
  }
  return system;
}

/** How the port answers small changes of a circuit that has settled, capacitors open. */
export interface Sensitivity {
  /** By how many volts the port would move if two nodes were joined by so many ohms: to first order. */
  ifJoined(a: number, b: number, ohms: number): number;
  /** By how many volts the port would move without an element of the circuit: to first order. */
  ifWithout(branch: PortCircuit['branches'][number]): number;
}

export function sensitivityOf(circuit: PortCircuit, drive: Drive, volts: readonly number[]): Sensitivity {
  const { linear, curved } = systemOf(circuit, drive, () => null);
  const { siemens: factors, unknowns } = straightened(linear, curved, volts);
  factorSymmetric(factors, unknowns);
  const pushed = (a: number, b: number) => {
    const amps = new Float64Array(unknowns);
    if (a > 0) amps[a - 1] = 1;
    if (b > 0) amps[b - 1] = -1;
    solveFactored(factors, amps);
    return (node: number) => (node > 0 ? amps[node - 1]! : 0);
  };
  return {
    ifJoined: (a, b, ohms) => {
      const moved = pushed(a, b);
      return (-moved(circuit.red) * (volts[a]! - volts[b]!)) / (ohms + moved(a) - moved(b));
    },
    ifWithout: ({ a, b, element }) => {
      if (element.is === 'capacitor') return 0;
      const across = volts[a]! - volts[b]!;
      const { amps, siemens } =
        element.is === 'diode' ? diodeAt(element, across) : { amps: across / element.ohms, siemens: 1 / element.ohms };
      const moved = pushed(a, b);
      return (moved(circuit.red) * amps) / Math.max(1e-6, 1 - siemens * (moved(a) - moved(b)));
    },
  };
}

/** Length of the currents that are left over at the nodes, in A. */
function missing(linear: System, curved: readonly Curved[], volts: readonly number[]): number {
  const { unknowns, siemens } = linear;
  const left: System = { ...linear, amps: linear.amps.slice() };
  for (const { a, b, at } of curved) push(left, a, b, at(volts[a]! - volts[b]!).amps);
  const own = volts.slice(1);
  const through = (row: number) => own.reduce((sum, v, column) => sum + siemens[row * unknowns + column]! * v, 0);
  return Math.hypot(...left.amps.map((amps, node) => amps - through(node)));
}
