/**
 * A diode with series resistance as a one-port: current and slope at a voltage.
 * i = Is * (exp(vj / nVt) - 1), v = vj + i * Rs; Is follows from the forward voltage at a stated current.
 * Source: Shockley's law; the emission coefficient is a typical value for silicon junctions in power parts.
 */
const emission = 1.7;
const thermalV = 0.025852;
const nVt = emission * thermalV;
/** Exponents are cut here; beyond, the law goes on as a straight line. */
const greatestExponent = 60;

export interface DiodeLaw {
  forwardV: number;
  atA: number;
  seriesOhms: number;
}

const saturations = new WeakMap<DiodeLaw, number>();

/** Saturation current in A. */
function saturationA(law: DiodeLaw): number {
  const known = saturations.get(law);
  if (known !== undefined) return known;
  const amps = law.atA / (Math.exp((law.forwardV - law.atA * law.seriesOhms) / nVt) - 1);
  saturations.set(law, amps);
  return amps;
}

/** Current in A and its slope in S at a voltage over junction and series resistance. */
export function diodeAt(law: DiodeLaw, volts: number): { amps: number; siemens: number } {
  const is = saturationA(law);
  let junctionV = volts > 0 ? Math.min(volts, law.forwardV + 0.2) : volts;
  for (let step = 0; step < 60; step++) {
    const { amps, siemens } = junction(is, junctionV);
    const error = junctionV + amps * law.seriesOhms - volts;
    const change = error / (1 + siemens * law.seriesOhms);
    junctionV -= change;
    if (Math.abs(change) < 1e-9) break;
  }
  const { amps, siemens } = junction(is, junctionV);
  return { amps, siemens: siemens / (1 + siemens * law.seriesOhms) };
}

function junction(is: number, volts: number): { amps: number; siemens: number } {
  const x = volts / nVt;
  if (x > greatestExponent) {
    const edge = Math.exp(greatestExponent);
    return { amps: is * (edge * (1 + x - greatestExponent) - 1), siemens: (is * edge) / nVt };
  }
  return { amps: is * (Math.exp(x) - 1), siemens: (is * Math.exp(x)) / nVt };
}
