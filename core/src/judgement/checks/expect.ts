/**
 * What a meter must show between two terminals of a build that is switched off, computed from the wiring and
 * the insides of the parts. No expected reading is written down anywhere.
 * Parts spread: capacitors, resistors, junctions, the meter by its card; good ones have more inside than is drawn; the
 * charge left by earlier touches may have leaked away.
 */
import type { Circuit } from '../../physics/circuit/compile';
import { compileSound } from '../../physics/circuit/compile';
import { conductingPath } from '../../physics/circuit/path';
import type { PortCircuit } from '../../physics/circuit/port';
import { conductorBelowOhms } from '../../physics/circuit/port';
import { reduceToPort } from '../../physics/circuit/reduce';
import { withUnshown } from '../../physics/circuit/unshown';
import { atEndOfSpread } from '../../physics/circuit/spread';
import { relax, touchResponse } from '../../physics/circuit/touchResponse';
import type { Range } from '../../facts/terms/names';
import type { Expectation, Touch } from '../../facts/log/reading';
import type { Length } from '../../facts/terms/toneLength';
import type { Site } from '../../facts/terms/site';
import type { Meter, MeterSource } from '../../facts/terms/meter';
import { mostOhms, ohmsOf, sourceOf } from '../../facts/terms/meter';
import { classesBetween, lengthClass, watchS } from '../../facts/terms/toneLength';
import type { Assembly } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

/** Left-over volts that a reading may not be taken on. */
export const restLimitV = 0.02;
/** Diode readings are compared to this. */
export const diodeBandV = 0.02;

/** Above so many diode volts the meter shows no number. */
export function mostDiodeV({ countsTo, limitV }: MeterSource): number {
  return countsTo ?? limitV - diodeBandV;
}

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
  return expectIn(compileSound(assembly), touch, options);
}

/** The same for a circuit that is compiled already. */
export function expectIn(circuit: Circuit, touch: Touch, options: ExpectOptions): Expectation {
  const [black, red] = [lookUp(circuit.at, touch.black), lookUp(circuit.at, touch.red)];
  if (!black || !red) throw new RangeError(`no terminal ${black ? touch.red : touch.black} in the build`);
  if (touch.mode === 'volts') {
    return { touch, from: 'computed', passes: [], band: [-restLimitV, restLimitV], chargeAfterV: {}, because: [] };
  }
  const states = circuit.branches.some(({ element }) => element.is === 'unknown switch') ? [false, true] : [false];
  const results = states.map((closed) => {
    const copper = touch.mode === 'ohms' ? 0 : conductorBelowOhms;
    const between = (of: Circuit) => reduceToPort(of, { blackNode: black, redNode: red }, copper, closed);
    // What a part was measured at in ohms has all of it in it.
    const fullest = touch.mode === 'diode' ? between(withUnshown(circuit)) : null;
    return respond({ drawn: between(circuit), fullest }, touch, options);
  });
  const [first] = results;
  const known = results.every((result) => isSame(result, first!));
  const because: readonly Site[] = first!.passes.includes('does not stop')
    ? conductingPath(circuit, black, red)
    : [{ between: [touch.black, touch.red] }];
  return { touch, from: known ? 'computed' : 'none', ...first!, because };
}

/** Bands are worked out by steps: they are the same when they differ by next to nothing. */
const nextToNothing = 0.01;

function isSame(one: Pick<Expectation, 'passes' | 'band'>, other: typeof one): boolean {
  if (JSON.stringify(one.passes) !== JSON.stringify(other.passes)) return false;
  const [a, b] = [one.band ?? [], other.band ?? []];
  return a.every((end, index) => Math.abs(end - b[index]!) <= nextToNothing * Math.max(Math.abs(end), 0.2));
}

/** Volts left on the capacitors when the probes were really held for `heldS`. */
export function chargeAfter(circuit: Circuit, touch: Touch, options: ExpectOptions): Readonly<Record<string, number>> {
  const [black, red] = [lookUp(circuit.at, touch.black), lookUp(circuit.at, touch.red)];
  if (!black || !red || touch.mode === 'volts') return options.chargeV ?? {};
  const port = reduceToPort(circuit, { blackNode: black, redNode: red }, conductorBelowOhms, false);
  const start = relax(port, options.chargeV ?? {}, options.pauseS ?? 0);
  return touchResponse(port, options.meter, start, { heldS: options.heldS ?? 0, watchS: 0 }).chargeAfterV;
}

interface Between {
  /** As the models say. */
  drawn: PortCircuit;
  /** With all that good parts may have besides; null where that makes no difference. */
  fullest: PortCircuit | null;
}

function respond(
  { drawn: port, fullest }: Between,
  touch: Touch,
  options: ExpectOptions,
): Pick<Expectation, 'open'> & { passes: Length[]; band: Range | null; chargeAfterV: Record<string, number> } {
  const { meter, chargeV = {}, pauseS = 0, heldS = 0 } = options;
  const mode = touch.mode === 'volts' ? 'tone' : touch.mode;
  const start = relax(port, chargeV, pauseS);
  const nominal = touchResponse(port, meter, start, { heldS, watchS: mode === 'tone' ? watchS : 0, mode });
  const { chargeAfterV } = nominal;
  if (mode !== 'tone') {
    const settled = [port, ...(fullest ? [fullest] : [])].flatMap((one) =>
      ([-1, 1] as const).map(
        (way) => touchResponse(withSpread(one, way), meter, {}, { heldS: 0, watchS: 0, mode }).settledV,
      ),
    );
    const [low, high] = [Math.min(...settled), Math.max(...settled)];
    const source = sourceOf(meter, mode);
    const most = mode === 'diode' ? mostDiodeV(source) : (source.countsTo ?? mostOhms);
    const reaches: Range =
      mode === 'diode'
        ? [low - diodeBandV, high + diodeBandV]
        : [ohmsOf(source, low) * (1 - meter.spread), ohmsOf(source, high) * (1 + meter.spread)];
    const band: Range = [Math.min(reaches[0], most), Math.min(reaches[1], most)];
    return { passes: [], band, chargeAfterV, ...(reaches[1] >= most ? { open: true as const } : {}) };
  }
  const shortestS = Math.max(meter.shortestToneMs, 1) / 1000;
  const heardFor = (way: -1 | 1, charge: Readonly<Record<string, number>>) =>
    touchResponse(withSpread(port, way === 1 ? -1 : 1), withThreshold(meter, 1 + way * meter.spread), charge, {
      heldS: 0,
      watchS,
    });
  // The charge of earlier touches may be there whole, or gone: it lengthens one tone and shortens another.
  const charges = port.branches.some(({ id }) => lookUp(chargeV, id)) ? [chargeV, {}] : [{}];
  // A tone shorter than the meter's answer may stay unheard altogether.
  const tones = [heardFor(-1, {}), nominal, ...charges.map((charge) => heardFor(1, charge))].map(({ toneS }) => toneS);
  const low = Math.min(...tones);
  const heard = low < meter.answerMs / 1000 ? 0 : low;
  const high = Math.max(...tones);
  return {
    passes: classesBetween(lengthClass(heard, shortestS), lengthClass(high, shortestS)),
    band: null,
    chargeAfterV,
  };
}

function withThreshold(meter: Meter, factor: number): Meter {
  return { ...meter, beepBelowOhms: meter.beepBelowOhms * factor, stopsAboveOhms: meter.stopsAboveOhms * factor };
}

function withSpread(port: PortCircuit, way: -1 | 1): PortCircuit {
  return { ...port, branches: atEndOfSpread(port.branches, way) };
}
