/** What a good build shows at a touch, and how the circuit stands meanwhile. */
import type { Range } from '../../../facts/terms/names';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import { SideBySide } from '../../../physics/circuit/sideBySide';
import { through } from '../../../physics/circuit/solve';
import { atEndOfSpread } from '../../../physics/circuit/spread';
import { withUnshown } from '../../../physics/circuit/unshown';
import { WholeCircuit } from '../../../physics/circuit/whole';
import type { Candidate } from './candidates';
import type { GoodBand, MeterScale, Room } from './meterScale';
import type { Settled } from './mostMoved';

/** A touch, and the pieces of copper of the good circuit that its probes are on. */
export interface Probed {
  mode: Candidate['touch']['mode'];
  blackNode: string;
  redNode: string;
  black: number;
  red: number;
}

/** How a good circuit of nominal parts stands while it is asked, and what is sure by that alone. */
export interface Standing extends Settled {
  /** Red against black. */
  portV: number;
  /** No fault that moves the volts at the port by less can be shown. */
  least: Room;
}

export interface Reading extends Standing, GoodBand {
  room: Room;
}

/** One state of a good circuit that its bands are made from. */
interface State {
  melted: Melted;
  whole: WholeCircuit;
  /** What was asked before: the same where the probes are on twins. */
  known: Map<string, number>;
}

export interface GoodCircuit {
  sound: Melted;
  nominal: State;
  /** With every part at either end of its spread. */
  ends: readonly State[];
  /** The same with all that good parts may have besides. */
  fullest: readonly State[];
}

export function goodCircuit(circuit: Circuit, taken: { switchesClosed: boolean }): GoodCircuit {
  const like = new SideBySide();
  const ways = [-1, 1] as const;
  const sound = meltable(circuit, taken).melted([]);
  const state = (melted: Melted, inners = melted.inners): State => ({
    melted,
    whole: new WholeCircuit({ pieces: melted.pieces, inners }, like),
    known: new Map(),
  });
  const atEnds = (melted: Melted) => ways.map((way) => state(melted, atEndOfSpread(melted.inners, way)));
  const fullest = meltable(withUnshown(circuit), taken).melted([]);
  return { sound, nominal: state(sound), ends: atEnds(sound), fullest: atEnds(fullest) };
}

export function standingOf({ sound, nominal }: GoodCircuit, probed: Probed, scale: MeterScale): Standing {
  const { mode, black, red } = probed;
  const volts = new Float64Array(sound.pieces).fill(NaN);
  volts[black] = 0;
  if (black === red) {
    // All that the meter gives goes from probe to probe through copper.
    const amps = new Float64Array(sound.inners.length);
    return { portV: 0, least: scale.roomV(onCopper(mode), 0, mode), volts, amps, copperA: scale.mostA(mode) };
  }
  const between = nominal.whole.between(black, red);
  const settled = between && scale.settled(between.port, mode);
  const portV = settled ? settled.portV : scale.openV(mode);
  volts[red] = portV;
  for (const piece of nominal.whole.pieces) {
    if (nominal.whole.hangTogether(piece, black)) volts[piece] = settled?.volts[between!.nodeOf(piece)] ?? 0;
    else if (nominal.whole.hangTogether(piece, red)) volts[piece] = portV;
  }
  return { portV, least: scale.leastRoomV(portV, mode), volts, amps: ampsIn(sound, volts), copperA: 0 };
}

export function goodReading(
  { ends, fullest }: GoodCircuit,
  { probed, standing }: { probed: Probed; standing: Standing },
  scale: MeterScale,
): Reading {
  const { mode } = probed;
  const { portV } = standing;
  if (probed.black === probed.red) {
    const band = onCopper(mode);
    return { ...standing, ...band, room: scale.roomV(band, 0, mode) };
  }
  const portIn = ({ melted, whole, known }: State) => {
    const between = whole.between(melted.pieceOf(probed.blackNode), melted.pieceOf(probed.redNode));
    if (!between) return scale.openV(mode);
    const { port, pieces } = between;
    const key = `${port.black} ${port.red} ${mode}`;
    const portV = known.get(key) ?? scale.settledV(port, mode, voltsOf(pieces, standing));
    known.set(key, portV);
    return portV;
  };
  const spread = [portV, ...ends.map(portIn)];
  const drawn: Range = [Math.min(...spread), Math.max(...spread)];
  const fullestV = mode === 'tone' ? drawn[0] : Math.min(...fullest.map(portIn));
  const band = scale.band({ drawn, fullestV }, mode);
  return { ...standing, ...band, room: scale.roomV(band, portV, mode) };
}

/** At these pieces of the good circuit; 0 where they do not hang on the probes. */
export function voltsOf(pieces: ArrayLike<number>, { volts }: Standing): Float64Array {
  const found = new Float64Array(pieces.length);
  for (let place = 0; place < pieces.length; place++) found[place] = volts[pieces[place]!] || 0;
  return found;
}

function onCopper(mode: Probed['mode']): GoodBand {
  return { is: mode === 'ohms' ? 'unsure' : 'sounds', low: 0, high: 0, outside: [0, 0] };
}

/** Through each element from its end a; nothing where it does not hang on the probes. */
function ampsIn({ inners }: Melted, volts: Float64Array): Float64Array {
  return Float64Array.from(inners, ({ a, b, element }) => {
    const across = volts[a]! - volts[b]!;
    return Number.isNaN(across) || across === 0 ? 0 : through(element, across);
  });
}
