/**
 * A diode with series resistance as a one-port: current and slope at a voltage.
 * i = Is * (exp(vj / nVt) - 1), v = vj + i * Rs; Is follows from the forward voltage at a stated current. Solved for i
 * by Wright's omega, the w of w + ln w = z (Fritsch, Shafer and Crowley, Comm. ACM 16, 1973).
 * Source: Shockley's law; the emission coefficient is a typical value for silicon junctions in power parts.
 */
export const emission = 1.7;
const thermalV = 0.025852;
const nVt = emission * thermalV;
/** Exponents are cut here; beyond, the law goes on as a straight line. */
const greatestExponent = 60;
const greatestFactor = Math.exp(greatestExponent);
/** Less than this of omega's argument, and three terms of its series say all. */
const smallZ = -8;

export interface DiodeLaw {
  forwardV: number;
  atA: number;
  seriesOhms: number;
}

/** Is of the law, in A. */
export function saturationA({ forwardV, atA, seriesOhms }: DiodeLaw): number {
  return atA / (Math.exp((forwardV - atA * seriesOhms) / nVt) - 1);
}

/** A diode ready to be asked often. */
export class Diode {
  private readonly saturationA: number;
  /** Ohms beside those of the junction where it carries nothing. */
  private readonly share: number;
  private readonly logOfShare: number;

  constructor(private readonly law: DiodeLaw) {
    this.saturationA = saturationA(law);
    this.share = (law.seriesOhms * this.saturationA) / nVt;
    this.logOfShare = Math.log(this.share);
  }

  /** What it carries at a voltage over junction and series resistance. */
  ampsAt(volts: number): number {
    const { saturationA, law } = this;
    if (law.seriesOhms === 0) return junctionA(saturationA, volts);
    return (nVt * omega(this.logOfShare + volts / nVt + this.share)) / law.seriesOhms - saturationA;
  }

  /** The volts across it where it carries so much. */
  voltsAt(amps: number): number {
    return nVt * Math.log1p(amps / this.saturationA) + amps * this.law.seriesOhms;
  }

  /** Its slope where it carries so much. */
  siemensAt(amps: number): number {
    const { saturationA, law } = this;
    const junctionSiemens = Math.min(amps / saturationA + 1, greatestFactor) * (saturationA / nVt);
    return junctionSiemens / (1 + law.seriesOhms * junctionSiemens);
  }
}

const ready = new WeakMap<DiodeLaw, Diode>();

export function diodeOf(law: DiodeLaw): Diode {
  const known = ready.get(law);
  if (known) return known;
  const made = new Diode(law);
  ready.set(law, made);
  return made;
}

function omega(z: number): number {
  if (z < smallZ) {
    const x = Math.exp(z);
    return x * (1 - x * (1 - 1.5 * x));
  }
  let w = z > 1 ? z - Math.log(z) : Math.log1p(Math.exp(z)) * 0.8;
  for (let step = 0; step < 2; step++) {
    const miss = z - w - Math.log(w);
    const twice = 2 * (1 + w) * (1 + w + (2 / 3) * miss);
    w *= 1 + (miss / (1 + w)) * ((twice - miss) / (twice - 2 * miss));
  }
  return w;
}

function junctionA(is: number, volts: number): number {
  const x = volts / nVt;
  const beyond = Math.max(0, x - greatestExponent);
  return is * Math.exp(x - beyond) * (1 + beyond) - is;
}
