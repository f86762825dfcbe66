/**
 * A port circuit as equations: conductances between its nodes, currents pushed into them, and what bends beside them.
 * Capacitors enter as a voltage behind a resistance, which also serves one implicit step in time.
 */
import type { MeterSource } from '../../facts/terms/meter';
import type { Carried } from './diode';
import { diodeOf } from './diode';
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

/** What carries a current from a to b that bends with the volts across it, and never falls with them. */
interface Curved {
  a: number;
  b: number;
  of: { at: (across: number) => Carried };
  /** The straight line that was laid on it last. */
  line: { amps: number; siemens: number };
}

interface PlacedCapacitor {
  id: string;
  a: number;
  b: number;
  volts: number;
  ohms: number;
}

/** Conductances by rows, symmetric and positive definite. */
interface Conductances {
  siemens: Float64Array;
  unknowns: number;
}

/** Leak from every node to the black probe that keeps floating nodes solvable. */
const leakSiemens = 1e-10;

export class System {
  readonly curved: Curved[] = [];
  readonly capacitors: PlacedCapacitor[] = [];
  private readonly fixed: Conductances;
  private readonly amps: Float64Array;
  /** The same with a straight line laid on every bent element. */
  private readonly straight: Conductances;
  private readonly straightAmps: Float64Array;

  constructor(circuit: PortCircuit, drive: Drive, capacitorAs: CapacitorAs) {
    // Nodes but for node 0, the black probe, which is the reference.
    const unknowns = circuit.size - 1;
    this.fixed = { siemens: new Float64Array(unknowns * unknowns), unknowns };
    this.amps = new Float64Array(unknowns);
    this.straight = { siemens: new Float64Array(unknowns * unknowns), unknowns };
    this.straightAmps = new Float64Array(unknowns);
    for (const { id, a, b, element } of circuit.branches) {
      if (element.is === 'resistor') connect(this.fixed, a, b, 1 / element.ohms);
      else if (element.is === 'diode') this.curved.push({ a, b, of: diodeOf(element), line: { amps: 0, siemens: 0 } });
      else {
        const as = capacitorAs(id);
        if (!as) continue;
        this.capacitors.push({ id, a, b, ...as });
        connect(this.fixed, a, b, 1 / as.ohms);
        push(this.amps, b, a, as.volts / as.ohms);
      }
    }
    if (drive && 'ohms' in drive) {
      connect(this.fixed, circuit.red, 0, 1 / drive.ohms);
      push(this.amps, 0, circuit.red, drive.volts / drive.ohms);
    }
    if (drive && 'amps' in drive)
      this.curved.push({
        a: circuit.red,
        b: 0,
        of: { at: (across) => limitedAt(drive, across) },
        line: { amps: 0, siemens: 0 },
      });
    for (let i = 0; i < unknowns; i++) this.fixed.siemens[i * unknowns + i]! += leakSiemens;
  }

  /**
   * Lays a straight line on every bent element at these volts.
   * @returns The currents in A that are over where they carry something else than the lines before said.
   */
  straighten(volts: ArrayLike<number>): number {
    const { straight, straightAmps: amps } = this;
    straight.siemens.set(this.fixed.siemens);
    amps.set(this.amps);
    let overA = 0;
    for (const { a, b, of, line } of this.curved) {
      const across = volts[a]! - volts[b]!;
      const carried = of.at(across);
      overA += Math.abs(carried.amps - line.amps - line.siemens * across);
      line.siemens = carried.siemens;
      line.amps = carried.amps - carried.siemens * across;
      connect(straight, a, b, line.siemens);
      push(amps, a, b, line.amps);
    }
    return overA;
  }

  /** Factors of the system with straight lines as they were laid last; lost when others are. */
  factored(): Float64Array {
    const { siemens, unknowns } = this.straight;
    factorSymmetric(siemens, unknowns);
    return siemens;
  }

  /** Where the lines that were laid last lead: volts of the nodes but the black one; lost with the next call. */
  alongLines(): Float64Array {
    solveFactored(this.factored(), this.straightAmps);
    return this.straightAmps;
  }

  /** Length of the currents that are left over at the nodes, in A. */
  missing(volts: ArrayLike<number>): number {
    const left = this.amps.slice();
    for (const { a, b, of } of this.curved) push(left, a, b, of.at(volts[a]! - volts[b]!).amps);
    const { unknowns, siemens } = this.fixed;
    let square = 0;
    for (let row = 0; row < unknowns; row++) {
      let over = left[row]!;
      for (let column = 0; column < unknowns; column++) over -= siemens[row * unknowns + column]! * volts[column + 1]!;
      square += over ** 2;
    }
    return Math.sqrt(square);
  }
}

/** Adds a conductance between two nodes. */
function connect({ siemens, unknowns }: Conductances, a: number, b: number, value: number): void {
  const [i, j] = [a - 1, b - 1];
  if (i >= 0) siemens[i * unknowns + i]! += value;
  if (j >= 0) siemens[j * unknowns + j]! += value;
  if (i < 0 || j < 0) return;
  siemens[i * unknowns + j]! -= value;
  siemens[j * unknowns + i]! -= value;
}

/** Adds a current that is pushed out of a into b. */
function push(amps: Float64Array, a: number, b: number, value: number): void {
  if (a > 0) amps[a - 1]! -= value;
  if (b > 0) amps[b - 1]! += value;
}

/** Share of the limit over which a current source gives way. */
const kneeShare = 0.003;

/**
 * A constant current that gives way to a constant voltage: whichever is less, rounded where the two meet. Counted out
 * of the port, so that it rises with the volts as every other element does.
 */
function limitedAt({ amps, limitV }: { amps: number; limitV: number }, across: number): Carried {
  const ohms = (kneeShare * limitV) / amps;
  const soft = kneeShare * amps;
  const over = (limitV - across) / ohms;
  // The lesser of two by its logarithm, taken from the lesser one so that nothing overflows.
  const [least, apart] = [Math.min(amps, over), Math.abs(amps - over)];
  const given = least - soft * Math.log1p(Math.exp(-apart / soft));
  const share = 1 / (1 + Math.exp((over - amps) / soft));
  return { amps: -given, siemens: share / ohms };
}
