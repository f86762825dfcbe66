/**
 * By how much a fault can move the volts at the probes at most, told from the good circuit alone. What is between the
 * two solutions is itself the solution of a circuit of resistances (the chords of all elements), driven by what the
 * fault puts into it: the volts of the good circuit where metal joins two places, its currents where something is cut.
 * No place in such a circuit has more volts than drive it, and a current makes at the probes no more than it makes of
 * the meter's own resistance (maximum principle and reciprocity: Chua, Desoer, Kuh: Linear and Nonlinear Circuits,
 * ch. 13).
 */
import type { Melted } from '../../../physics/circuit/melt';
import type { Inner } from '../../../physics/circuit/port';
import { through } from '../../../physics/circuit/solve';
import type { FaultyCopper } from './faultyCopper';

/** The good circuit while a probe is set down. */
export interface Settled {
  /** Of every piece of copper by its number; NaN where it does not hang on the probes. */
  volts: Float64Array;
  /** From probe to probe through copper alone; 0 where they are on two pieces. */
  copperA: number;
}

/** The nodes that the probes are on. */
export interface Probes {
  blackNode: string;
  redNode: string;
}

/** @returns Volts; Infinity where the good circuit does not tell. */
export function mostMoved(
  { faulty, gone, joins, cutPieces }: FaultyCopper,
  { blackNode, redNode }: Probes,
  { volts, copperA }: Settled,
  { sound, ohmsAt }: { sound: Melted; ohmsAt: (amps: number) => number },
): number {
  let drivingA = 0;
  for (const inner of gone) drivingA += Math.abs(ampsThrough(inner, volts));
  for (const { piece, ends, isOpened } of cutPieces) {
    if (isOpened) return Infinity;
    const into = new Map<number, number>();
    let overA = 0;
    const flow = (part: number, flowing: number) => {
      into.set(part, (into.get(part) ?? 0) + flowing);
      overA += flowing;
    };
    for (const { inner, end, part } of ends) flow(part, (end === 'a' ? -1 : 1) * ampsThrough(inner, volts));
    const isOn = (node: string) => sound.pieceOf(node) === piece;
    if (isOn(redNode) && isOn(blackNode)) {
      flow(faulty.pieceOf(redNode), copperA);
      flow(faulty.pieceOf(blackNode), -copperA);
      // What comes in goes out again: the rest is the probe's.
    } else if (isOn(redNode)) flow(faulty.pieceOf(redNode), -overA);
    else if (isOn(blackNode)) flow(faulty.pieceOf(blackNode), -overA);
    // What flows out of one part flows into another.
    for (const flowing of into.values()) drivingA += Math.abs(flowing) / 2;
  }
  let drivingV = 0;
  const besideLoose: number[] = [];
  for (const [a, b] of joins) {
    const [one, other] = [volts[a]!, volts[b]!];
    const [isOneLoose, isOtherLoose] = [Number.isNaN(one), Number.isNaN(other)];
    if (!isOneLoose && !isOtherLoose) drivingV += Math.abs(one - other);
    else if (!isOneLoose || !isOtherLoose) besideLoose.push(isOneLoose ? other : one);
  }
  // What hangs on nothing so far becomes a way between all that it is joined with.
  const leastV = Math.min(...besideLoose);
  for (const each of besideLoose) drivingV += each - leastV;
  return drivingV + (drivingA === 0 ? 0 : drivingA * ohmsAt(drivingA));
}

/** From its end a; nothing where it does not hang on the probes. */
function ampsThrough({ a, b, element }: Inner, volts: Float64Array): number {
  const across = volts[a]! - volts[b]!;
  return Number.isNaN(across) || across === 0 ? 0 : through(element, across).amps;
}
