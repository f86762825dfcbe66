/** What a meter makes of volts at its port, and when two of them can be told apart. */
import type { Meter, MeterSource } from '../../../facts/terms/meter';
import { sourceOf, voltsAcross } from '../../../facts/terms/meter';
import type { Range } from '../../../facts/terms/names';
import { diodeBandV, mostDiodeV } from '../expect';
import type { PortCircuit } from '../../../physics/circuit/port';
import { solvePort } from '../../../physics/circuit/solve';
import type { Drive } from '../../../physics/circuit/system';
import { driveOf } from '../../../physics/circuit/system';

/** Readings are worked out to so much. */
export const worthV = 2e-3;

export type ProbeMode = 'tone' | 'diode';

/** `either`: a number or none; `unsure`: nobody knows which of two. */
export type GoodIs = 'sounds' | 'reads' | 'either' | 'silent' | 'unsure';

export interface GoodBand {
  is: GoodIs;
  low: number;
  high: number;
  /** By so much more a fault must lie outside. */
  marginV: number;
}

export class MeterScale {
  /** What a current of so much less through the circuit moves the volts at the probes by at most, by ampere. */
  readonly ohmsAt: Readonly<Record<ProbeMode, (amps: number) => number>>;

  /** What the volts at the probes move by when a small current is drawn from them, at most. */
  private readonly mostOhms: number;

  constructor(private readonly meter: Meter) {
    this.ohmsAt = { tone: steepest(sourceOf(meter, 'tone')), diode: steepest(sourceOf(meter, 'diode')) };
    this.mostOhms = Math.max(this.ohmsAt.tone(0), this.ohmsAt.diode(0));
  }

  /**
   * Once everything has settled.
   * @param port Null where nothing can flow from probe to probe.
   * @param guess Volts of each node, near which the answer will be.
   */
  settled(
    port: PortCircuit | null,
    mode: ProbeMode,
    guess?: Float64Array,
  ): { portV: number; volts: Float64Array | null } {
    if (!port) return { portV: this.source(mode).limitV, volts: null };
    const { portV, volts } = solvePort(port, this.drive(mode), () => null, { guess });
    return { portV: Math.min(portV, this.source(mode).limitV), volts };
  }

  /** Whether a port shows something else than a good one; it is solved only as far as that takes. */
  portDiffers(good: GoodBand, port: PortCircuit | null, mode: ProbeMode, guess: Float64Array): boolean {
    if (!port) return this.differs(good, this.source(mode).limitV, mode);
    let told: boolean | null = null;
    const isEnough = (nearV: number, overA: number) => {
      told = this.differsWithin(good, this.within(nearV, overA), mode);
      return told !== null;
    };
    const { portV } = solvePort(port, this.drive(mode), () => null, { guess, isEnough });
    return told ?? this.differs(good, Math.min(portV, this.source(mode).limitV), mode);
  }

  /** Between which volts the port settles where currents of so much are over still. */
  within(portV: number, overA: number): Range {
    const offV = overA * this.mostOhms + worthV;
    return [portV - offV, portV + offV];
  }

  /** By how many volts a fault must raise or lower those at the port to be shown; Infinity: in that way it cannot. */
  roomV(good: GoodBand, portV: number, mode: ProbeMode): { up: number; down: number } {
    if (mode === 'tone') {
      const [sounds, silent] = this.thresholds();
      return good.is === 'sounds' ? { up: silent - portV, down: Infinity } : { up: Infinity, down: portV - sounds };
    }
    const [least, most] = this.edges(good);
    return { up: most < this.mostV() ? most - portV : Infinity, down: portV - least };
  }

  drive(mode: ProbeMode): Drive {
    return driveOf(this.source(mode));
  }

  /** Through copper. */
  mostA(mode: ProbeMode): number {
    return this.source(mode).limitA;
  }

  is(low: number, high: number, mode: ProbeMode): GoodIs {
    if (mode === 'diode') {
      if (high + diodeBandV < this.mostV()) return 'reads';
      return low - diodeBandV < this.mostV() ? 'either' : 'silent';
    }
    const [sounds, silent] = this.thresholds();
    if (high < sounds) return 'sounds';
    return low > silent ? 'silent' : 'unsure';
  }

  /** The same for a reading that lies between two; null where that does not tell. */
  differsWithin(good: GoodBand, [from, to]: Range, mode: ProbeMode): boolean | null {
    const { limitV } = this.source(mode);
    const [one, other] = [from, to].map((volts) => this.differs(good, Math.min(volts, limitV), mode));
    const isAround = good.is === 'reads' && from < good.low && to > good.high;
    return one !== other || (one && isAround) ? null : one!;
  }

  /** A fault is shown when its reading lies well outside the band of good ones. */
  differs(good: GoodBand, faultyV: number, mode: ProbeMode): boolean {
    if (mode === 'tone') {
      const [sounds, silent] = this.thresholds();
      return good.is === 'sounds' ? faultyV > silent : faultyV < sounds;
    }
    const [least, most] = this.edges(good);
    return faultyV < least || (Math.min(faultyV, this.mostV()) > most && most < this.mostV());
  }

  /** In diode volts a fault lies outside these. Against none it must be a number, not one that a hair makes none. */
  private edges({ low, high, marginV }: GoodBand): Range {
    return [Math.min(low, this.mostV() - diodeBandV) - marginV, high + marginV];
  }

  private source(mode: ProbeMode): MeterSource {
    return sourceOf(this.meter, mode);
  }

  /** Above this the meter shows no number. */
  private mostV(): number {
    return mostDiodeV(this.source('diode'));
  }

  /** Volts at the port below which it surely sounds, and above which it surely is silent. */
  private thresholds(): [sounds: number, silent: number] {
    const { beepBelowOhms, stopsAboveOhms, spread } = this.meter;
    const at = (ohms: number) => voltsAcross(this.meter, ohms);
    return [at(beepBelowOhms * (1 - spread)), at(stopsAboveOhms * (1 + spread))];
  }
}

/** A constant current finds other ways, and none of them is steeper than from nothing to where it is. */
function steepest({ seriesOhms, limitV, limitA }: MeterSource): (amps: number) => number {
  return (amps) => seriesOhms ?? limitV / Math.max(limitA - amps, 0);
}
