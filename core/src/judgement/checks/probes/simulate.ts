/**
 * What each touch would show on a good build and with each fault in it. A fault is an edit of the circuit; where the
 * good circuit says already that it cannot move the reading it is not solved for.
 */
import { lookUp } from '../../../facts/terms/lookUp';
import type { Meter } from '../../../facts/terms/meter';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import type { PortCircuit } from '../../../physics/circuit/port';
import { sideBySide } from '../../../physics/circuit/sideBySide';
import { WholeCircuit } from '../../../physics/circuit/whole';
import type { Defect } from '../defects/defect';
import type { Candidate } from './candidates';
import type { FaultyCopper } from './faultyCopper';
import { faultyCopperOf } from './faultyCopper';
import type { Probed, Reading } from './goodReading';
import { goodCircuit, goodReading } from './goodReading';
import { mostMoved } from './mostMoved';
import type { GoodIs } from './meterScale';
import { MeterScale, worthV } from './meterScale';

interface Simulated {
  /** What a good build shows at each touch. */
  good: readonly GoodIs[];
  /** For each defect the touches that show it. */
  shownBy: readonly (readonly number[])[];
}

interface SimulateOptions {
  defects: readonly Defect[];
  meter: Meter;
  /** Told the share that is done. */
  onProgress?: (share: number) => void;
}

export function simulate(
  circuit: Circuit,
  candidates: readonly Candidate[],
  { defects, meter, onProgress = () => undefined }: SimulateOptions,
): Simulated {
  if (candidates.length === 0) return { good: [], shownBy: defects.map(() => []) };
  const scale = new MeterScale(meter);
  const whole = meltable(circuit, { switchesClosed: false });
  const goodOne = goodCircuit(circuit, { switchesClosed: false });
  const { sound } = goodOne;
  const probed = candidates.map(({ touch }): Probed => {
    const [blackNode, redNode] = [lookUp(circuit.at, touch.black)!, lookUp(circuit.at, touch.red)!];
    const [black, red] = [sound.pieceOf(blackNode), sound.pieceOf(redNode)];
    return { mode: touch.mode, blackNode, redNode, black, red };
  });
  const good = onceForCopper(sound, (probe) => goodReading(goodOne, probe, scale));
  const otherwise = withUnknownClosed(circuit, scale);
  const readings = probed.map((probe): Reading => {
    const reading = good(probe);
    return isLike(reading, otherwise(probe) ?? reading) ? reading : { ...reading, is: 'unsure' };
  });
  const ofFault = faultyCopperOf(circuit, sound);
  const small = sideBySide();
  const asked = onSameCopper(sound, probed, [...probed.keys()]).filter(([first]) => readings[first!]!.is !== 'unsure');
  const touchable = [...new Set(probed.flatMap(({ blackNode, redNode }) => [blackNode, redNode]))];
  const known = new Map<string, readonly number[]>();
  const shownBy = defects.map(({ edits }, index) => {
    onProgress(index / defects.length);
    if (edits.length === 0) return [];
    const melted = whole.melted(edits);
    // Many a fault makes the same of the circuit as another.
    const kind = kindOfCopper(melted, touchable);
    const before = known.get(kind);
    if (before) return before;
    const fault = ofFault(edits, melted);
    const port = portsIn(melted, { sound, small });
    const isShown = (place: number) => {
      const [probe, reading] = [probed[place]!, readings[place]!];
      return mayShow(fault, probe, reading, scale) && shows(port(probe), reading, { scale, mode: probe.mode });
    };
    const isCut = new Set(fault.cutPieces.map(({ piece }) => piece));
    const shown: number[] = [];
    for (const places of asked) {
      const { black, red } = probed[places[0]!]!;
      if (isCut.has(black) || isCut.has(red)) {
        for (const same of onSameCopper(melted, probed, places)) if (isShown(same[0]!)) shown.push(...same);
      } else if (isShown(places[0]!)) shown.push(...places);
    }
    shown.sort((a, b) => a - b);
    known.set(kind, shown);
    return shown;
  });
  return { good: readings.map(({ is }) => is), shownBy };
}

/** False: by the good circuit alone it cannot move the reading far enough. */
function mayShow(fault: FaultyCopper, probe: Probed, reading: Reading, scale: MeterScale): boolean {
  // A way less and the volts rise; a way more and they fall.
  const up = fault.isCut ? reading.room.up : Infinity;
  const down = fault.joins.length > 0 ? reading.room.down : Infinity;
  const nearestV = Math.min(up, down);
  if (nearestV === Infinity) return false;
  return mostMoved(fault, probe, reading, scale.ohmsAt[probe.mode]) > nearestV - worthV;
}

/** A circuit between two probes: on one piece of copper, or the port and what each of its nodes is in the good one. */
type Asked = 'copper' | { port: PortCircuit | null; under: Int32Array };

/** Each probe on a faulty circuit, which is made ready for the first one that is asked. */
function portsIn(
  melted: Melted,
  { sound, small }: { sound: Melted; small: ReturnType<typeof sideBySide> },
): (probe: Probed) => Asked {
  let ready: { whole: WholeCircuit; under: Int32Array } | null = null;
  const readied = () => {
    const whole = new WholeCircuit({ pieces: melted.pieces, inners: small(melted.inners) });
    return { whole, under: Int32Array.from(whole.pieces, (piece) => sound.pieceUnder(piece)) };
  };
  return ({ blackNode, redNode }) => {
    const [black, red] = [melted.pieceOf(blackNode), melted.pieceOf(redNode)];
    if (black === red) return 'copper';
    ready ??= readied();
    return { port: ready.whole.between(black, red), under: ready.under };
  };
}

/** Solved from where the good circuit stands, as far as it takes to tell. */
function shows(asked: Asked, reading: Reading, { scale, mode }: { scale: MeterScale; mode: Probed['mode'] }): boolean {
  if (asked === 'copper') return scale.differs(reading, 0, mode);
  const guess = Float64Array.from(asked.under, (piece) => reading.volts[piece] || 0);
  return scale.portDiffers(reading, asked.port, mode, guess);
}

/** A name for a circuit: the same for edits that make the same of it, as far as it can be touched at these nodes. */
function kindOfCopper({ pieceOf, inners }: Melted, nodes: readonly string[]): string {
  const numbers = new Map<number, number>();
  const numberOf = (piece: number) => {
    if (!numbers.has(piece)) numbers.set(piece, numbers.size);
    return numbers.get(piece)!;
  };
  const touched = nodes.map((node) => numberOf(pieceOf(node)));
  const between = inners.map(({ id, a, b, element }) => {
    const ends = [a, b].map(numberOf);
    return id.startsWith('bridge ') ? `${ends.sort().join(' ')} ${JSON.stringify(element)}` : `${id} ${ends.join(' ')}`;
  });
  return `${touched.join(' ')}: ${between.join(', ')}`;
}

/** The readings with everything closed of which nobody knows whether it is; null where all is known. */
function withUnknownClosed(circuit: Circuit, scale: MeterScale): (probe: Probed) => Reading | null {
  if (!circuit.branches.some(({ element }) => element.is === 'unknown switch')) return () => null;
  const closed = goodCircuit(circuit, { switchesClosed: true });
  return onceForCopper(closed.sound, (probe) => goodReading(closed, probe, scale));
}

function isLike(one: Reading, other: Reading): boolean {
  return Math.abs(one.low - other.low) < worthV && Math.abs(one.high - other.high) < worthV;
}

/** What is asked on the same pieces of copper in the same mode is worked out once. */
function onceForCopper<T>(melted: Melted, work: (probe: Probed) => T): (probe: Probed) => T {
  const known = new Map<string, T>();
  return (probe) => {
    const key = copperOf(melted, probe);
    if (!known.has(key)) known.set(key, work(probe));
    return known.get(key)!;
  };
}

/** Some places in the list in groups that are on the same two pieces of copper, in the same mode. */
function onSameCopper(melted: Melted, probed: readonly Probed[], places: readonly number[]): number[][] {
  const groups = new Map<string, number[]>();
  for (const place of places) {
    const key = copperOf(melted, probed[place]!);
    groups.set(key, [...(groups.get(key) ?? []), place]);
  }
  return [...groups.values()];
}

function copperOf({ pieceOf }: Melted, { blackNode, redNode, mode }: Probed): string {
  return `${pieceOf(blackNode)} ${pieceOf(redNode)} ${mode}`;
}
