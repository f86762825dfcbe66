/**
 * By how much a fault can move the volts at the probes at most, told from the good circuit alone. What is between the
 * two solutions is itself the solution of a circuit of resistances (the chords of all elements), driven by what the
 * fault puts into it: the volts of the good circuit where metal joins two places, its currents where something is cut.
 * No place in such a circuit has more volts than drive it, and a current makes at the probes no more than it makes of
 * the meter's own resistance (maximum principle and reciprocity: Chua, Desoer, Kuh: Linear and Nonlinear Circuits,
 * ch. 13).
 */
import type { FaultyCopper } from './faultyCopper';

/** The good circuit while a probe is set down. */
export interface Settled {
  /** Of every piece of copper by its number; NaN where it does not hang on the probes. */
  volts: Float64Array;
  /** Through every element by its place, from its end a. */
  amps: Float64Array;
  /** From probe to probe through copper alone; 0 where they are on two pieces. */
  copperA: number;
}

/** The pieces of copper of the good circuit that the probes are on, and the nodes there. */
interface Probes {
  black: number;
  red: number;
  blackNode: string;
  redNode: string;
}

/** @returns Volts; Infinity where the good circuit does not tell. */
export function mostMoved(
  { faulty, gone, joins, cutPieces }: FaultyCopper,
  probes: Probes,
  { volts, amps, copperA }: Settled,
  ohmsAt: (amps: number) => number,
): number {
  let drivingA = 0;
  for (const place of gone) drivingA += Math.abs(amps[place]!);
  for (const cut of cutPieces) {
    if (cut.isOpened) return Infinity;
    const into = cut.flowing.fill(0);
    let overA = 0;
    for (const { place, sign, part } of cut.ends) {
      const flowing = sign * amps[place]!;
      into[part]! += flowing;
      overA += flowing;
    }
    const [isRed, isBlack] = [probes.red === cut.piece, probes.black === cut.piece];
    // What comes in goes out again: the rest is the probe's.
    const redA = isBlack ? copperA : -overA;
    const blackA = isRed ? -copperA : -overA;
    if (isRed) into[cut.parts.indexOf(faulty.pieceOf(probes.redNode))]! += redA;
    if (isBlack) into[cut.parts.indexOf(faulty.pieceOf(probes.blackNode))]! += blackA;
    // What flows out of one part flows into another.
    for (const flowing of into) drivingA += Math.abs(flowing) / 2;
  }
  const drivingV = drivenBy(joins, volts);
  return drivingV + (drivingA === 0 ? 0 : drivingA * ohmsAt(drivingA));
}

function drivenBy(joins: FaultyCopper['joins'], volts: Float64Array): number {
  let drivingV = 0;
  let leastV = Infinity;
  for (const [a, b] of joins) {
    const apart = volts[a]! - volts[b]!;
    if (!Number.isNaN(apart)) drivingV += Math.abs(apart);
    else leastV = Math.min(leastV, besideLoose(volts[a]!, volts[b]!));
  }
  // What hangs on nothing so far becomes a way between all that it is joined with.
  if (leastV < Infinity)
    for (const [a, b] of joins) {
      const besideV = besideLoose(volts[a]!, volts[b]!);
      if (besideV < Infinity) drivingV += besideV - leastV;
    }
  return drivingV;
}

/** Volts at the one end of a join that has some; Infinity where both or none have. */
function besideLoose(one: number, other: number): number {
  if (Number.isNaN(one) === Number.isNaN(other)) return Infinity;
  return Number.isNaN(one) ? other : one;
}
