/** What a meter makes of volts at its port, and when two of them can be told apart. */
import type { Meter, MeterSource } from '../../../facts/terms/meter';
import { sourceOf } from '../../../facts/terms/meter';
import type { PortCircuit } from '../../../physics/circuit/reduce';
import type { Drive } from '../../../physics/circuit/solve';
import { solvePort } from '../../../physics/circuit/solve';

export type ProbeMode = 'tone' | 'diode';

/** `unsure`: a good build may show either. */
export type GoodIs = 'sounds' | 'reads' | 'silent' | 'unsure';

/** Smallest difference in diode volts that a person can be asked to see. */
const seenV = 0.02;

export class MeterScale {
  constructor(private readonly meter: Meter) {}

  /** Once everything has settled. @param guess Volts of each node, near which the answer will be. */
  settled(port: PortCircuit, mode: ProbeMode, guess?: readonly number[]): { portV: number; volts: readonly number[] } {
    const { portV, volts } = solvePort(port, this.drive(mode), () => null, guess);
    return { portV: Math.min(portV, this.source(mode).limitV), volts };
  }

  drive(mode: ProbeMode): Drive {
    const { limitV, limitA, seriesOhms } = this.source(mode);
    return seriesOhms === null ? { amps: limitA, limitV } : { volts: limitV, ohms: seriesOhms };
  }

  is(low: number, high: number, mode: ProbeMode): GoodIs {
    if (mode === 'diode') return high + seenV >= this.mostV() ? 'silent' : 'reads';
    const [sounds, silent] = this.thresholds();
    if (high < sounds) return 'sounds';
    return low > silent ? 'silent' : 'unsure';
  }

  /** A fault is shown when its reading lies outside the band of good ones by half as much again. */
  differs({ is, low, high }: { is: GoodIs; low: number; high: number }, faultyV: number, mode: ProbeMode): boolean {
    if (mode === 'tone') {
      const [sounds, silent] = this.thresholds();
      return is === 'sounds' ? faultyV > silent : faultyV < sounds;
    }
    const margin = (high - low) / 2 + 2 * seenV;
    const [least, most] = [low - margin, high + margin];
    return faultyV < least || (Math.min(faultyV, this.mostV()) > most && most < this.mostV());
  }

  private source(mode: ProbeMode): MeterSource {
    return sourceOf(this.meter, mode);
  }

  /** Above this the meter shows no number. */
  private mostV(): number {
    const { countsTo, limitV } = this.source('diode');
    return countsTo ?? limitV - seenV;
  }

  /** Volts at the port below which it surely sounds, and above which it surely is silent. */
  private thresholds(): [sounds: number, silent: number] {
    const { seriesOhms, limitA, limitV, beepBelowOhms, stopsAboveOhms, spread } = this.meter;
    const at = (ohms: number) => (seriesOhms === null ? limitA * ohms : (limitV * ohms) / (seriesOhms + ohms));
    return [at(beepBelowOhms * (1 - spread)), at(stopsAboveOhms * (1 + spread))];
  }
}
