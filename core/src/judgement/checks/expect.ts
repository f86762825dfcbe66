/**
 * What a meter must show between two terminals of a build that is switched off, computed from the wiring and
 * the insides of the parts. No expected reading is written down anywhere.
 * Parts spread: capacitors +-20 %, the meter by its card; the charge left by earlier touches may have leaked away.
 */
import type { Circuit } from '../../physics/circuit/compile';
import { compile } from '../../physics/circuit/compile';
import { conductingPath } from '../../physics/circuit/path';
import type { PortCircuit } from '../../physics/circuit/reduce';
import { reduceToPort } from '../../physics/circuit/reduce';
import { relax, touchResponse } from '../../physics/circuit/touchResponse';
import type { Range } from '../../facts/terms/names';
import type { Expectation, Touch } from '../../facts/log/reading';
import type { Length } from '../../facts/terms/toneLength';
import type { Site } from '../../facts/terms/site';
import type { Meter } from '../../facts/terms/meter';
import { classesBetween, lengthClass, watchS } from '../../facts/terms/toneLength';
import type { Assembly } from '../../facts/assembly/assembly';

/** Relative spread of capacitors around their print. */
const capacitorSpread = 0.2;
/** Below this a resistance is a conductor to a continuity tone; the lowest threshold of any meter is 10 ohm. */
const conductorBelowOhms = 0.5;
/** Left-over volts that a reading may not be taken on. */
export const restLimitV = 0.02;
/** Diode readings are compared to this. */
const diodeBandV = 0.02;

export interface ExpectOptions {
  meter: Meter;
  /** Volts on the capacitors after the touch before this one, by branch id. */
  chargeV?: Readonly<Record<string, number>>;
  /** Seconds since then. */
  pauseS?: number;
  /** How long the probes will be held. */
  heldS?: number;
}

/** The expectation for one touch. @throws {RangeError} If a terminal is not in the build. */
export function expect(assembly: Assembly, touch: Touch, options: ExpectOptions): Expectation {
  return expectIn(compile(assembly), touch, options);
}

/** The same for a circuit that is compiled already. */
export function expectIn(circuit: Circuit, touch: Touch, options: ExpectOptions): Expectation {
  const [black, red] = [circuit.at[touch.black], circuit.at[touch.red]];
  if (!black || !red) throw new RangeError(`no terminal ${black ? touch.red : touch.black} in the build`);
  if (touch.mode === 'volts') {
    return { touch, from: 'computed', passes: [], band: [-restLimitV, restLimitV], chargeAfterV: {}, because: [] };
  }
  const states = circuit.branches.some(({ element }) => element.is === 'unknown switch') ? [false, true] : [false];
  const results = states.map((closed) => {
    const copper = touch.mode === 'ohms' ? 0 : conductorBelowOhms;
    return respond(reduceToPort(circuit, { blackNode: black, redNode: red }, copper, closed), touch, options);
  });
  const [first] = results;
  const known = results.every((result) => JSON.stringify(result.passes) === JSON.stringify(first!.passes));
  const because: readonly Site[] = first!.passes.includes('does not stop')
    ? conductingPath(circuit, black, red)
    : [{ between: [touch.black, touch.red] }];
  return { touch, from: known ? 'computed' : 'none', ...first!, because };
}

/** Volts left on the capacitors when the probes were really held for `heldS`. */
export function chargeAfter(circuit: Circuit, touch: Touch, options: ExpectOptions): Readonly<Record<string, number>> {
  const [black, red] = [circuit.at[touch.black], circuit.at[touch.red]];
  if (!black || !red || touch.mode === 'volts') return options.chargeV ?? {};
  const port = reduceToPort(circuit, { blackNode: black, redNode: red }, conductorBelowOhms, false);
  const start = relax(port, options.chargeV ?? {}, options.pauseS ?? 0);
  return touchResponse(port, options.meter, start, { heldS: options.heldS ?? 0, watchS: 0 }).chargeAfterV;
}

function respond(
  port: PortCircuit,
  touch: Touch,
  options: ExpectOptions,
): { passes: Length[]; band: Range | null; chargeAfterV: Record<string, number> } {
  const { meter, chargeV = {}, pauseS = 0, heldS = 0 } = options;
  const start = relax(port, chargeV, pauseS);
  const nominal = touchResponse(port, meter, start, { heldS, watchS: touch.mode === 'tone' ? watchS : 0 });
  if (touch.mode === 'diode') {
    return {
      passes: [],
      band: [nominal.settledV - diodeBandV, nominal.settledV + diodeBandV],
      chargeAfterV: nominal.chargeAfterV,
    };
  }
  if (touch.mode === 'ohms') {
    const ohms = portOhms(meter, nominal.settledV);
    return {
      passes: [],
      band: [ohms * (1 - meter.spread), ohms * (1 + meter.spread)],
      chargeAfterV: nominal.chargeAfterV,
    };
  }
  const shortestS = Math.max(meter.shortestToneMs, 1) / 1000;
  const shortest = touchResponse(
    scaled(port, 1 - capacitorSpread),
    withThreshold(meter, 1 - meter.spread),
    {},
    { heldS: 0, watchS },
  );
  // The charge of earlier touches may be there whole, or gone: it lengthens one tone and shortens another.
  const charges = port.branches.some(({ id }) => chargeV[id]) ? [chargeV, {}] : [{}];
  const longest = charges.map((charge) =>
    touchResponse(scaled(port, 1 + capacitorSpread), withThreshold(meter, 1 + meter.spread), charge, {
      heldS: 0,
      watchS,
    }),
  );
  // A tone shorter than the meter's answer may stay unheard altogether.
  const tones = [shortest, nominal, ...longest].map(({ toneS }) => toneS);
  const low = Math.min(...tones);
  const heard = low < meter.answerMs / 1000 ? 0 : low;
  const high = Math.max(...tones);
  return {
    passes: classesBetween(lengthClass(heard, shortestS), lengthClass(high, shortestS)),
    band: null,
    chargeAfterV: nominal.chargeAfterV,
  };
}

function portOhms(meter: Meter, settledV: number): number {
  if (meter.seriesOhms === null) return settledV / meter.limitA;
  return (settledV * meter.seriesOhms) / (meter.limitV - settledV);
}

function scaled(port: PortCircuit, factor: number): PortCircuit {
  const branches = port.branches.map((branch) =>
    branch.element.is === 'capacitor'
      ? { ...branch, element: { ...branch.element, farads: branch.element.farads * factor } }
      : branch,
  );
  return { ...port, branches };
}

function withThreshold(meter: Meter, factor: number): Meter {
  return { ...meter, beepBelowOhms: meter.beepBelowOhms * factor, stopsAboveOhms: meter.stopsAboveOhms * factor };
}
