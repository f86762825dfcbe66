/** What a good build shows at a touch, and how the circuit stands meanwhile. */
import type { Circuit } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import { portBetween } from '../../../physics/circuit/reduce';
import { sideBySide } from '../../../physics/circuit/sideBySide';
import { atEndOfSpread } from '../../../physics/circuit/spread';
import { withUnshown } from '../../../physics/circuit/unshown';
import { diodeBandV } from '../expect';
import type { Candidate } from './candidates';
import type { GoodBand, MeterScale } from './meterScale';
import type { Probes, Settled } from './mostMoved';

export type Probed = Candidate['touch'] & Probes;

export interface Reading extends Settled, GoodBand {
  /** At the probes. */
  portV: number;
  /** By how many volts a fault must raise or lower those to be shown; Infinity: in that way it cannot. */
  room: { up: number; down: number };
}

/** One good circuit in the states that its bands are made from; each small, for what settles. */
interface GoodCircuit {
  sound: Melted;
  nominal: Melted;
  /** With every part at either end of its spread. */
  ends: readonly Melted[];
  /** The same with all that good parts may have besides. */
  fullest: readonly Melted[];
}

export function goodCircuit(circuit: Circuit, taken: { switchesClosed: boolean }): GoodCircuit {
  const small = sideBySide();
  const ways = [-1, 1] as const;
  const sound = meltable(circuit, taken).melted([]);
  const fullest = meltable(withUnshown(circuit), taken).melted([]);
  const atEnds = (melted: Melted) =>
    ways.map((way): Melted => ({ ...melted, inners: small(atEndOfSpread(melted.inners, way)) }));
  return { sound, nominal: { ...sound, inners: small(sound.inners) }, ends: atEnds(sound), fullest: atEnds(fullest) };
}

export function goodReading(
  { sound, nominal, ends, fullest }: GoodCircuit,
  { blackNode, redNode, mode }: Probed,
  scale: MeterScale,
): Reading {
  const [black, red] = [sound.pieceOf(blackNode), sound.pieceOf(redNode)];
  const known = new Float64Array(sound.pieces).fill(NaN);
  const port = portBetween(nominal, black, red);
  if (!port) {
    known[black] = 0;
    // All that the meter gives goes from probe to probe through copper.
    const band = { is: 'sounds', low: 0, high: 0, marginV: 0 } as const;
    return { ...band, portV: 0, room: scale.roomV(band, 0, mode), volts: known, copperA: scale.mostA(mode) };
  }
  const { portV, volts } = scale.settled(port, mode);
  port.pieces.forEach((piece, node) => (known[piece] = volts[node]!));
  const portIn = (melted: Melted) => {
    const other = portBetween(melted, melted.pieceOf(blackNode), melted.pieceOf(redNode))!;
    const guess = other.pieces.map((piece) => known[piece] || 0);
    return scale.settled(other, mode, guess).portV;
  };
  const spread = [portV, ...ends.map(portIn)];
  const [drawn, high] = [Math.min(...spread), Math.max(...spread)];
  const low = mode === 'tone' ? drawn : Math.min(drawn, ...fullest.map(portIn));
  // A fault is shown when it lies outside by half as much again as values move.
  const marginV = (high - drawn) / 2 + 2 * diodeBandV;
  const band = { is: scale.is(low, high, mode), low, high, marginV };
  return { ...band, portV, room: scale.roomV(band, portV, mode), volts: withDeadEnds(sound, known), copperA: 0 };
}

/** What hangs on a piece of copper alone carries nothing: it has the volts of that piece. */
function withDeadEnds({ inners }: Melted, volts: Float64Array): Float64Array {
  for (let isMore = true; isMore;) {
    isMore = false;
    for (const { a, b } of inners) {
      if (Number.isNaN(volts[a]!) === Number.isNaN(volts[b]!)) continue;
      if (Number.isNaN(volts[a]!)) volts[a] = volts[b]!;
      else volts[b] = volts[a]!;
      isMore = true;
    }
  }
  return volts;
}
