/** What a good build shows at a touch, and how the circuit stands meanwhile. */
import type { Range } from '../../../facts/terms/names';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import { sideBySide } from '../../../physics/circuit/sideBySide';
import { through } from '../../../physics/circuit/solve';
import { atEndOfSpread } from '../../../physics/circuit/spread';
import { withUnshown } from '../../../physics/circuit/unshown';
import { WholeCircuit } from '../../../physics/circuit/whole';
import type { Candidate } from './candidates';
import type { GoodBand, MeterScale } from './meterScale';
import type { Settled } from './mostMoved';

/** A touch, and the pieces of copper of the good circuit that its probes are on. */
export interface Probed {
  mode: Candidate['touch']['mode'];
  blackNode: string;
  redNode: string;
  black: number;
  red: number;
}

export interface Reading extends Settled, GoodBand {
  /** By how many volts a fault must raise or lower those to be shown; Infinity: in that way it cannot. */
  room: { up: number; down: number };
}

/** One state of a good circuit that its bands are made from. */
interface State {
  melted: Melted;
  whole: WholeCircuit;
}

interface GoodCircuit {
  sound: Melted;
  nominal: State;
  /** With every part at either end of its spread. */
  ends: readonly State[];
  /** The same with all that good parts may have besides. */
  fullest: readonly State[];
}

export function goodCircuit(circuit: Circuit, taken: { switchesClosed: boolean }): GoodCircuit {
  const small = sideBySide();
  const ways = [-1, 1] as const;
  const sound = meltable(circuit, taken).melted([]);
  const state = (melted: Melted, inners = melted.inners): State => ({
    melted,
    whole: new WholeCircuit({ pieces: melted.pieces, inners: small(inners) }),
  });
  const atEnds = (melted: Melted) => ways.map((way) => state(melted, atEndOfSpread(melted.inners, way)));
  const fullest = meltable(withUnshown(circuit), taken).melted([]);
  return { sound, nominal: state(sound), ends: atEnds(sound), fullest: atEnds(fullest) };
}

export function goodReading(
  { sound, nominal, ends, fullest }: GoodCircuit,
  probed: Probed,
  scale: MeterScale,
): Reading {
  const { mode, black, red } = probed;
  const volts = new Float64Array(sound.pieces).fill(NaN);
  volts[black] = 0;
  if (black === red) {
    // All that the meter gives goes from probe to probe through copper.
    const band: GoodBand = { is: mode === 'ohms' ? 'unsure' : 'sounds', low: 0, high: 0, outside: [0, 0] };
    const amps = new Float64Array(sound.inners.length);
    return { ...band, room: scale.roomV(band, 0, mode), volts, amps, copperA: scale.mostA(mode) };
  }
  const { portV, volts: settled } = scale.settled(nominal.whole.between(black, red), mode);
  volts[red] = portV;
  nominal.whole.pieces.forEach((piece, node) => {
    if (nominal.whole.hangTogether(piece, black)) volts[piece] = settled ? settled[node]! : 0;
    else if (nominal.whole.hangTogether(piece, red)) volts[piece] = portV;
  });
  const portIn = ({ melted, whole }: State) => {
    const port = whole.between(melted.pieceOf(probed.blackNode), melted.pieceOf(probed.redNode));
    const guess = Float64Array.from(whole.pieces, (piece) => volts[piece] || 0);
    return scale.settledV(port, mode, guess);
  };
  const spread = [portV, ...ends.map(portIn)];
  const drawn: Range = [Math.min(...spread), Math.max(...spread)];
  const fullestV = mode === 'tone' ? drawn[0] : Math.min(...fullest.map(portIn));
  const band = scale.band({ drawn, fullestV }, mode);
  return { ...band, room: scale.roomV(band, portV, mode), volts, amps: ampsIn(sound, volts), copperA: 0 };
}

/** Through each element from its end a; nothing where it does not hang on the probes. */
function ampsIn({ inners }: Melted, volts: Float64Array): Float64Array {
  return Float64Array.from(inners, ({ a, b, element }) => {
    const across = volts[a]! - volts[b]!;
    return Number.isNaN(across) || across === 0 ? 0 : through(element, across);
  });
}
