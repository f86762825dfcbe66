/**
 * A port circuit as equations: conductances between its nodes, currents pushed into them, and what bends beside them.
 * Capacitors enter as a voltage behind a resistance, which also serves one implicit step in time.
 */
import type { MeterSource } from '../../facts/terms/meter';
import type { Equations } from './equations';
import { connect, equationsOf } from './equations';
import type { PortCircuit } from './port';

/** What the probes drive: open volts behind a resistance, or a current (amps) with a limit in volts. */
export type Drive = { volts: number; ohms: number } | { amps: number; limitV: number } | null;

/** What a meter's source drives. */
export function driveOf({ seriesOhms, limitV, limitA }: MeterSource): NonNullable<Drive> {
  return seriesOhms === null ? { amps: limitA, limitV } : { volts: limitV, ohms: seriesOhms };
}

/** For each capacitor: the volts it stands at and the resistance behind them; null leaves it open. */
export type CapacitorAs = (id: string) => { volts: number; ohms: number } | null;

interface PlacedCapacitor {
  id: string;
  a: number;
  b: number;
  volts: number;
  ohms: number;
}

/** Leak from every node to the black probe that keeps floating nodes solvable. */
const leakSiemens = 1e-10;
/** A line is laid anew only where the volts have moved by more: so near it is right to a few millionths. */
const sameV = 1e-4;
/**
 * Beyond its knee a diode carries at the volts found far more than the line before said: then the line is laid where
 * it carries what was said (Nagel, SPICE2, 1975: iteration on current).
 */
const [kneeA, farMore] = [1e-9, 1.5];

export class System {
  readonly capacitors: readonly PlacedCapacitor[];
  private readonly equations: Equations;
  /** A constant current out of the probes, which bends where it gives way. */
  private readonly current: { amps: number; limitV: number } | null;
  private readonly fixed: Float64Array;
  private readonly amps: Float64Array;
  /** The same with a straight line laid on every bent element. */
  private readonly straight: Float64Array;
  private readonly straightAmps: Float64Array;
  /** The lines that were laid last, and at which volts: what bends, then the probes. */
  private readonly lineV: Float64Array;
  private readonly lineAmps: Float64Array;
  private readonly lineSiemens: Float64Array;

  constructor(
    private readonly circuit: PortCircuit,
    drive: Drive,
    capacitorAs: CapacitorAs,
  ) {
    const { size, red } = circuit;
    const equations = equationsOf(circuit);
    this.equations = equations;
    this.fixed = equations.siemens.slice();
    this.amps = new Float64Array(size);
    for (let node = 0; node < size; node++) this.fixed[node]! += leakSiemens;
    this.capacitors = equations.capacitors.flatMap(({ id, a, b, place }) => {
      const as = capacitorAs(id);
      if (!as) return [];
      connect(this.fixed, { a, b, place }, 1 / as.ohms);
      this.amps[a]! += as.volts / as.ohms;
      this.amps[b]! -= as.volts / as.ohms;
      return [{ id, a, b, ...as }];
    });
    if (drive && 'ohms' in drive) {
      this.fixed[red]! += 1 / drive.ohms;
      this.amps[red]! += drive.volts / drive.ohms;
    }
    this.current = drive && 'amps' in drive ? drive : null;
    this.straight = new Float64Array(equations.pattern.entries);
    this.straightAmps = new Float64Array(size);
    this.lineV = new Float64Array(equations.bent.length + 1).fill(NaN);
    this.lineAmps = new Float64Array(equations.bent.length + 1);
    this.lineSiemens = new Float64Array(equations.bent.length + 1);
  }

  /** Whether a line that was laid last lies elsewhere than the volts were: where it leads nothing is settled. */
  isFarOff = false;

  /** Whether anything in it bends. */
  get bends(): boolean {
    return this.current !== null || this.equations.bent.length > 0;
  }

  /**
   * Lays a straight line on every bent element at these volts.
   * @returns The currents in A that are over where they carry something else than the lines before said.
   */
  straighten(volts: Float64Array): number {
    const { straight, straightAmps, lineV, lineAmps, lineSiemens } = this;
    const { bent, bentA, bentB, bentPlace } = this.equations;
    straight.set(this.fixed);
    straightAmps.set(this.amps);
    let overA = 0;
    this.isFarOff = false;
    for (let one = 0; one < bent.length; one++) {
      const a = bentA[one]!;
      const b = bentB[one]!;
      const across = volts[a]! - volts[b]!;
      if (!(Math.abs(across - lineV[one]!) < sameV)) {
        const diode = bent[one]!;
        const said = lineAmps[one]! + lineSiemens[one]! * across;
        const amps = diode.ampsAt(across);
        overA += Math.abs(amps - said);
        const isFar = said > kneeA && amps > farMore * said;
        this.isFarOff ||= isFar;
        const at = isFar ? diode.voltsAt(said) : across;
        const carried = isFar ? said : amps;
        lineV[one] = at;
        lineSiemens[one] = diode.siemensAt(carried);
        lineAmps[one] = carried - lineSiemens[one]! * at;
      }
      const siemens = lineSiemens[one]!;
      const rest = lineAmps[one]!;
      straight[a]! += siemens;
      straight[b]! += siemens;
      straight[bentPlace[one]!]! -= siemens;
      straightAmps[a]! -= rest;
      straightAmps[b]! += rest;
    }
    return overA + this.straightenSource(volts);
  }

  /** Where the lines that were laid last lead: volts of the nodes; lost with the next call. */
  alongLines(): Float64Array {
    const { straight, straightAmps, equations, circuit } = this;
    // The black probe is what all volts are against: its own equation says that it has none.
    equations.pattern.leaveOut(straight, circuit.black);
    straightAmps[circuit.black] = 0;
    equations.pattern.factor(straight);
    equations.pattern.solve(straight, straightAmps);
    return straightAmps;
  }

  /** Length of the currents that are left over at the nodes, in A. */
  missing(volts: Float64Array): number {
    const { fixed, equations, circuit, current } = this;
    const left = this.amps.slice();
    equations.bent.forEach((diode, one) => {
      const [a, b] = [equations.bentA[one]!, equations.bentB[one]!];
      const amps = diode.ampsAt(volts[a]! - volts[b]!);
      left[a]! -= amps;
      left[b]! += amps;
    });
    if (current) left[circuit.red]! -= limitedAt(current, volts[circuit.red]!).amps;
    for (let node = 0; node < left.length; node++) left[node]! -= fixed[node]! * volts[node]!;
    for (const [a, b, place] of equations.pattern.links()) {
      left[a]! -= fixed[place]! * volts[b]!;
      left[b]! -= fixed[place]! * volts[a]!;
    }
    left[circuit.black] = 0;
    return Math.sqrt(left.reduce((square, over) => square + over ** 2, 0));
  }

  private straightenSource(volts: Float64Array): number {
    if (!this.current) return 0;
    const { straight, straightAmps, lineAmps, lineSiemens } = this;
    const { red } = this.circuit;
    const [port, across] = [lineAmps.length - 1, volts[red]!];
    const { amps, siemens } = limitedAt(this.current, across);
    const overA = Math.abs(amps - lineAmps[port]! - lineSiemens[port]! * across);
    lineSiemens[port] = siemens;
    lineAmps[port] = amps - siemens * across;
    straight[red]! += siemens;
    straightAmps[red]! -= lineAmps[port]!;
    return overA;
  }
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
