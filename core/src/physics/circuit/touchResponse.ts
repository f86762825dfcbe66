/**
 * What a meter's port shows over time while two probes are held, and what is left on the capacitors.
 * Time is not stepped evenly: implicit steps grow and shrink with the error (step doubling), so that a touch
 * needs some tens of solves whether it lasts a millisecond or a minute.
 * Source of the charging law that the tests compare with: tau * ln(Vinf / (Vinf - Vt)).
 */
import type { PortCircuit } from './port';
import type { CapacitorAs, Drive } from './system';
import { solvePort } from './solve';
import { driveOf } from './system';
import type { Meter } from '../../facts/terms/meter';
import { sourceOf, voltsAcross } from '../../facts/terms/meter';
import { lookUp } from '../../facts/terms/lookUp';

interface TouchResponse {
  /** How long the meter sounds from the moment of touch, in seconds; Infinity when it never stops. */
  toneS: number;
  /** Red against black once everything has settled. */
  settledV: number;
  /** Volts on each capacitor when the probes leave, by branch id. */
  chargeAfterV: Record<string, number>;
}

const shortestStepS = 1e-5;
/** Of one step, at most; of the volts at which a tone ends no more than this share. */
const [errorV, errorShare] = [3e-3, 0.01];

/** The meter as a source in a mode, and the volts at which it begins and ceases to sound. */
function drives(meter: Meter, mode: 'tone' | 'ohms' | 'diode'): { drive: Drive; thresholdV: number; stopV: number } {
  const source = sourceOf(meter, mode);
  const at = (ohms: number) => voltsAcross(source, ohms);
  return { drive: driveOf(source), thresholdV: at(meter.beepBelowOhms), stopV: at(meter.stopsAboveOhms) };
}

/**
 * @param chargeV Volts on each capacitor before the touch; one that is not named is empty.
 * @param heldS How long the probes are held. The tone is followed to its end or to `watchS`, whichever comes first.
 */
export function touchResponse(
  circuit: PortCircuit,
  meter: Meter,
  chargeV: Readonly<Record<string, number>>,
  { heldS, watchS, mode = 'tone' }: { heldS: number; watchS: number; mode?: 'tone' | 'ohms' | 'diode' },
): TouchResponse {
  const { drive, thresholdV, stopV } = drives(meter, mode);
  if (circuit.red === circuit.black) return { toneS: Infinity, settledV: 0, chargeAfterV: { ...chargeV } };
  const open = solvePort(circuit, drive, () => null);
  const settledV = Math.min(open.portV, sourceOf(meter, mode).limitV);
  const capacitors = circuit.branches.filter(({ element }) => element.is === 'capacitor');
  const startCharge = Object.fromEntries(capacitors.map(({ id }) => [id, lookUp(chargeV, id) ?? 0]));
  const sounds = (portV: number, limit: number) => portV < limit && (meter.beepsOnReverse || portV > -limit);
  if (capacitors.length === 0) {
    return { toneS: sounds(open.portV, thresholdV) ? Infinity : 0, settledV, chargeAfterV: { ...chargeV } };
  }
  let toneS: number | null = null;
  let sounding = false;
  let heldCharge: Record<string, number> | null = heldS === 0 ? startCharge : null;
  let previous = { t: 0, v: 0 };
  run(circuit, drive, startCharge, {
    endS: Math.max(watchS, heldS),
    markS: heldS,
    mostErrorV: Math.min(errorV, errorShare * stopV),
    see: ({ t, v, charge }) => {
      if (t === 0) {
        sounding = sounds(v, thresholdV);
        if (!sounding) toneS = 0;
      } else if (sounding && toneS === null && !sounds(v, stopV)) {
        toneS = previous.t + ((stopV - previous.v) / (v - previous.v || 1)) * (t - previous.t);
      }
      if (t === heldS) heldCharge = charge;
      previous = { t, v };
      return toneS !== null && heldCharge !== null;
    },
  });
  return { toneS: toneS ?? Infinity, settledV, chargeAfterV: { ...chargeV, ...(heldCharge ?? startCharge) } };
}

/** Volts left on the capacitors after a pause in which nothing touches them. */
export function relax(
  circuit: PortCircuit,
  chargeV: Readonly<Record<string, number>>,
  pauseS: number,
): Record<string, number> {
  const known = new Set(circuit.branches.filter(({ element }) => element.is === 'capacitor').map(({ id }) => id));
  const start = Object.fromEntries([...known].map((id) => [id, lookUp(chargeV, id) ?? 0]));
  if (pauseS <= 0 || Object.values(start).every((volts) => Math.abs(volts) < 2e-3)) return { ...chargeV };
  let last = start;
  run(circuit, null, start, {
    endS: pauseS,
    markS: pauseS,
    mostErrorV: errorV,
    see: ({ charge }) => {
      last = charge;
      return false;
    },
  });
  return { ...chargeV, ...last };
}

interface Moment {
  t: number;
  v: number;
  charge: Record<string, number>;
}

/**
 * Integrates from the given charges; `see` is told every accepted point and `markS`, and ends the run by returning
 * true.
 */
function run(
  circuit: PortCircuit,
  drive: Drive,
  start: Record<string, number>,
  {
    endS,
    markS,
    mostErrorV,
    see,
  }: { endS: number; markS: number; mostErrorV: number; see: (moment: Moment) => boolean },
): void {
  const parts = new Map(
    circuit.branches.flatMap(({ id, element }) => (element.is === 'capacitor' ? [[id, element] as const] : [])),
  );
  const at =
    (charge: Record<string, number>, stepS: number): CapacitorAs =>
    (id) => {
      const { farads, esrOhms } = parts.get(id)!;
      return { volts: lookUp(charge, id)!, ohms: esrOhms + stepS / farads };
    };
  const step = (charge: Record<string, number>, stepS: number, guess?: Float64Array) => {
    const { portV, capacitorA, volts } = solvePort(circuit, drive, at(charge, stepS), { guess });
    const next = Object.fromEntries(
      Object.keys(charge).map((id) => [
        id,
        lookUp(charge, id)! + (lookUp(capacitorA, id)! * stepS) / parts.get(id)!.farads,
      ]),
    );
    return { portV, charge: next, volts };
  };
  const first = step(start, 0);
  if (see({ t: 0, v: first.portV, charge: start })) return;
  let now = { t: 0, charge: start, volts: first.volts };
  let stepS = shortestStepS;
  while (now.t < endS) {
    const target = now.t < markS ? Math.min(markS, endS) : endS;
    const h = Math.min(stepS, target - now.t);
    const whole = step(now.charge, h, now.volts);
    const half = step(now.charge, h / 2, now.volts);
    const halves = step(half.charge, h / 2, half.volts);
    const error = Math.max(
      ...Object.keys(start).map((id) => Math.abs(lookUp(halves.charge, id)! - lookUp(whole.charge, id)!)),
      Math.abs(halves.portV - whole.portV),
    );
    if (error > mostErrorV && h > shortestStepS) {
      stepS = Math.max(shortestStepS, h / 2);
      continue;
    }
    // Richardson: the two results together are of second order.
    const charge = Object.fromEntries(
      Object.keys(start).map((id) => [id, 2 * lookUp(halves.charge, id)! - lookUp(whole.charge, id)!]),
    );
    const v = 2 * halves.portV - whole.portV;
    const t = h === target - now.t ? target : now.t + h;
    if (see({ t, v, charge })) return;
    now = { t, charge, volts: halves.volts };
    if (error < mostErrorV / 3) stepS = h * (error < mostErrorV / 30 ? 4 : 2);
  }
}
