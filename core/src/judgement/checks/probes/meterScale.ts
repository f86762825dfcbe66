/** What a meter makes of volts at its port, and when two of them can be told apart. */
import type { Meter, MeterSource } from '../../../facts/terms/meter';
import { ohmsOf, sourceOf, voltsAcross } from '../../../facts/terms/meter';
import type { Range } from '../../../facts/terms/names';
import { diodeBandV, mostDiodeV } from '../expect';
import type { PortCircuit } from '../../../physics/circuit/port';
import { solvePort } from '../../../physics/circuit/solve';
import type { Drive } from '../../../physics/circuit/system';
import { driveOf } from '../../../physics/circuit/system';

/** Readings are worked out to so much. */
export const worthV = 2e-3;

export type ProbeMode = 'tone' | 'diode' | 'ohms';

/** `either`: a number or none; `unsure`: nobody knows which of two. */
export type GoodIs = 'sounds' | 'reads' | 'either' | 'silent' | 'unsure';

export interface GoodBand {
  is: GoodIs;
  low: number;
  high: number;
  /** In volts or ohms a fault is shown when those at the port lie outside these. */
  outside: Range;
}

/** By how many volts a fault must raise or lower those at the port to be shown; Infinity: in that way it cannot. */
export interface Room {
  up: number;
  down: number;
}

/** What a good build may come to, in volts at the port: as drawn, and with all that good parts may have besides. */
interface GoodVolts {
  drawn: Range;
  fullestV: number;
}

export class MeterScale {
  /** What a current of so much less through the circuit moves the volts at the probes by at most, by ampere. */
  readonly ohmsAt: Readonly<Record<ProbeMode, (amps: number) => number>>;

  /** Volts at the port below which it surely sounds, and above which it surely is silent. */
  private readonly sureToneV: readonly [sounds: number, silent: number];

  /** What the volts at the probes move by when a small current is drawn from them, at most. */
  private readonly mostOhms: number;

  constructor(private readonly meter: Meter) {
    const ohmsAt = (mode: ProbeMode) => steepest(sourceOf(meter, mode));
    this.ohmsAt = { tone: ohmsAt('tone'), diode: ohmsAt('diode'), ohms: ohmsAt('ohms') };
    this.sureToneV = sureToneOf(meter);
    this.mostOhms = Math.max(...Object.values(this.ohmsAt).map((at) => at(0)));
  }

  /** Once everything has settled. */
  settled(port: PortCircuit, mode: ProbeMode): { portV: number; volts: Float64Array } {
    const { portV, volts } = solvePort(port, this.drive(mode), () => null);
    return { portV: Math.min(portV, this.openV(mode)), volts };
  }

  /** The volts where nothing can flow from probe to probe. */
  openV(mode: ProbeMode): number {
    return this.source(mode).limitV;
  }

  /** The volts at the port alone, as far as they are worth anything. */
  settledV(port: PortCircuit, mode: ProbeMode, guess: Float64Array): number {
    const { limitV } = this.source(mode);
    const isEnough = (_portV: number, overA: number) => overA * this.mostOhms < worthV / 4;
    return Math.min(solvePort(port, this.drive(mode), () => null, { guess, isEnough }).portV, limitV);
  }

  /** Whether a port shows something else than a good one; it is solved only as far as that takes. */
  portDiffers(good: GoodBand, port: PortCircuit, mode: ProbeMode, guess: Float64Array): boolean {
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

  roomV(good: GoodBand, portV: number, mode: ProbeMode): Room {
    if (mode === 'tone') return this.toneRoomV(good.is === 'sounds', portV);
    const [least, most] = good.outside;
    return { up: most < this.mostV(mode) ? most - portV : Infinity, down: portV - least };
  }

  /** What the room is at least, by the volts of nominal parts alone. */
  leastRoomV(portV: number, mode: ProbeMode): Room {
    switch (mode) {
      case 'tone':
        return this.toneRoomV(portV < this.sureToneV[0], portV);
      case 'diode':
        return { up: leastMarginV, down: leastMarginV };
      case 'ohms':
        return { up: 0, down: 0 };
    }
  }

  drive(mode: ProbeMode): Drive {
    return driveOf(this.source(mode));
  }

  /** Through copper. */
  mostA(mode: ProbeMode): number {
    return this.source(mode).limitA;
  }

  /** What a good build shows, and outside of which volts at the port no good build lies. */
  band(volts: GoodVolts, mode: ProbeMode): GoodBand {
    if (mode === 'ohms') return this.ohmsBand(volts);
    const { drawn, fullestV } = volts;
    const [drawnV, high] = drawn;
    const low = mode === 'tone' ? drawnV : Math.min(drawnV, fullestV);
    // A fault is shown when it lies outside by half as much again as values move.
    const marginV = (high - drawnV) / 2 + leastMarginV;
    // Against none it must be a number, not one that a hair makes none.
    const outside: Range = [Math.min(low, this.mostV('diode') - diodeBandV) - marginV, high + marginV];
    return { is: this.is(low, high, mode), low, high, outside };
  }

  /** Ohms tell only what holds a current back by the same share whatever the meter drives: no junction may conduct. */
  private ohmsBand({ drawn: [low, high], fullestV }: GoodVolts): GoodBand {
    const source = this.source('ohms');
    const [least, most] = [
      ohmsOf(source, low) * (1 - this.meter.spread),
      ohmsOf(source, high) * (1 + this.meter.spread),
    ];
    // By half as much again as values move, in their own measure: as a share.
    const beyond = Math.sqrt(most / Math.max(least, leadOhms));
    const outside: Range = [least / beyond - leadOhms, most * beyond + leadOhms];
    const isKnown = high < quietV && ohmsOf(source, fullestV) > least && outside[0] > 0;
    const [from, to] = outside.map((ohms) => Math.min(voltsAcross(source, ohms), source.limitV)) as [number, number];
    return { is: isKnown ? 'reads' : 'unsure', low, high, outside: [from, to] };
  }

  private is(low: number, high: number, mode: ProbeMode): GoodIs {
    if (mode === 'diode') {
      const most = this.mostV('diode');
      if (high + diodeBandV < most) return 'reads';
      return low - diodeBandV < most ? 'either' : 'silent';
    }
    const [sounds, silent] = this.sureToneV;
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
      const [sounds, silent] = this.sureToneV;
      return good.is === 'sounds' ? faultyV > silent : faultyV < sounds;
    }
    const [least, most] = good.outside;
    const mostV = this.mostV(mode);
    return faultyV < least || (Math.min(faultyV, mostV) > most && most < mostV);
  }

  private source(mode: ProbeMode): MeterSource {
    return sourceOf(this.meter, mode);
  }

  /** Above this the meter shows no number. */
  private mostV(mode: ProbeMode): number {
    const source = this.source(mode);
    if (mode !== 'ohms') return mostDiodeV(this.source('diode'));
    return source.countsTo === undefined
      ? source.limitV
      : Math.min(voltsAcross(source, source.countsTo), source.limitV);
  }

  private toneRoomV(isSound: boolean, portV: number): Room {
    const [sounds, silent] = this.sureToneV;
    return isSound ? { up: silent - portV, down: Infinity } : { up: Infinity, down: portV - sounds };
  }
}

function sureToneOf(meter: Meter): [sounds: number, silent: number] {
  const at = (ohms: number) => voltsAcross(meter, ohms);
  return [at(meter.beepBelowOhms * (1 - meter.spread)), at(meter.stopsAboveOhms * (1 + meter.spread))];
}

/** A number tells a fault when it lies further off than this in any case. */
const leastMarginV = 2 * diodeBandV;

/** Assumed: the meter's own leads and the tips on the pads. */
const leadOhms = 1;
/** Up to here no junction conducts. */
const quietV = 0.2;

/** A constant current finds other ways, and none of them is steeper than from nothing to where it is. */
function steepest({ seriesOhms, limitV, limitA }: MeterSource): (amps: number) => number {
  return (amps) => seriesOhms ?? limitV / Math.max(limitA - amps, 0);
}
