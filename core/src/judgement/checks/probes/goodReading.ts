/** What a good build shows at a touch, and how the circuit stands meanwhile. */
import { Linearised } from '../../../physics/circuit/linearised';
import type { Rewiring } from '../../../physics/circuit/linearised';
import type { Melted } from '../../../physics/circuit/melt';
import type { PortCircuit } from '../../../physics/circuit/port';
import { portBetween } from '../../../physics/circuit/reduce';
import { through } from '../../../physics/circuit/solve';
import { atEndOfSpread } from '../../../physics/circuit/spread';
import type { Candidate } from './candidates';
import type { Probes, Settled } from './mayShow';
import type { GoodBand, MeterScale } from './meterScale';
import { diodeBandV } from '../expect';

export type Probed = Candidate['touch'] & Probes;

export interface Reading extends Settled, GoodBand {
  /** The circuit between the probes; null where they are on one piece of copper. */
  port: {
    size: number;
    /** Of what lies on a way from probe to probe. */
    nodeOf: (piece: number) => number | undefined;
    /** Volts at the probes with a fault, as far as they can be had without solving anew. */
    withFault: (rewiring: Rewiring) => { portV: number; overA: number };
  } | null;
}

/** @param fullest The same circuit with all that good parts may have besides. */
export function goodReading(
  { sound, fullest }: { sound: Melted; fullest: Melted },
  { blackNode, redNode, mode }: Probed,
  scale: MeterScale,
): Reading {
  const [black, red] = [sound.pieceOf(blackNode), sound.pieceOf(redNode)];
  const port = portBetween(sound, black, red);
  if (!port) {
    // All that the meter gives goes from probe to probe through copper.
    const probeA = scale.mostA(mode);
    return {
      is: 'sounds',
      low: 0,
      high: 0,
      marginV: 0,
      volts: new Map([[black, 0]]),
      amps: new Map(),
      probeA,
      port: null,
    };
  }
  const { portV, volts } = scale.settled(port, mode);
  const ends = ([-1, 1] as const).map((way) => scale.settled(atEndOfSpread(port, way), mode, volts).portV);
  const [drawn, high] = [Math.min(portV, ...ends), Math.max(portV, ...ends)];
  const low = mode === 'tone' ? drawn : Math.min(drawn, leastOf(fullest, { blackNode, redNode, mode }, scale));
  // A fault is shown when it lies outside by half as much again as values move.
  const marginV = (high - drawn) / 2 + 2 * diodeBandV;
  const nodes: ReadonlyMap<number, number> = new Map(port.pieces.map((piece, place) => [piece, place]));
  const amps = new Map(
    port.branches.map(({ id, a, b, element }) => [id, through(element, volts[a]! - volts[b]!).amps]),
  );
  const linearised = new Linearised(port, scale.drive(mode), volts);
  return {
    is: scale.is(low, high, mode),
    low,
    high,
    marginV,
    volts: withDeadEnds(sound, new Map(port.pieces.map((piece, node) => [piece, volts[node]!]))),
    amps,
    probeA: intoBlack(port, amps),
    port: {
      size: port.size,
      nodeOf: (piece) => nodes.get(piece),
      withFault: (rewiring) => {
        const moved = linearised.movedBy(rewiring);
        return { portV: portV + moved.portV, overA: moved.overA };
      },
    },
  };
}

/** The least that the meter shows where good parts have all that they may have. */
function leastOf(
  fullest: Melted,
  { blackNode, redNode, mode }: Pick<Probed, 'blackNode' | 'redNode' | 'mode'>,
  scale: MeterScale,
): number {
  const port = portBetween(fullest, fullest.pieceOf(blackNode), fullest.pieceOf(redNode));
  if (!port) return 0;
  return Math.min(...([-1, 1] as const).map((way) => scale.settled(atEndOfSpread(port, way), mode).portV));
}

function intoBlack({ branches, black }: PortCircuit, amps: ReadonlyMap<string, number>): number {
  return branches.reduce((sum, { id, a, b }) => sum + (Number(b === black) - Number(a === black)) * amps.get(id)!, 0);
}

/** What hangs on a piece of copper alone carries nothing: it has the volts of that piece. */
function withDeadEnds({ inners }: Melted, volts: Map<number, number>): ReadonlyMap<number, number> {
  for (let before = 0; before !== volts.size;) {
    before = volts.size;
    for (const { a, b } of inners) {
      if (volts.has(a) && !volts.has(b)) volts.set(b, volts.get(a)!);
      if (volts.has(b) && !volts.has(a)) volts.set(a, volts.get(b)!);
    }
  }
  return volts;
}
