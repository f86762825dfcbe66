/**
 * What each touch would show on a good build and with each fault in it. A fault is an edit of the circuit; where the
 * good circuit carries nothing through the edited places and they are level, it cannot change the reading and is not
 * solved for.
 */
import { lookUp } from '../../../facts/terms/lookUp';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Edit, Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import { portBetween } from '../../../physics/circuit/reduce';
import type { PortCircuit } from '../../../physics/circuit/port';
import type { Sensitivity } from '../../../physics/circuit/solve';
import { sensitivityOf } from '../../../physics/circuit/solve';
import { atEndOfSpread } from '../../../physics/circuit/spread';
import type { Meter } from '../../../facts/terms/meter';
import type { Defect } from '../defects/defect';
import type { Candidate } from './candidates';
import type { GoodIs } from './meterScale';
import { MeterScale } from './meterScale';

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

interface Reading {
  is: GoodIs;
  low: number;
  high: number;
  /** Of every piece of copper that hangs on the probes. */
  volts: ReadonlyMap<number, number>;
  /** Elements that lie on a way from one probe to the other. */
  live: ReadonlySet<string>;
  /** By how many volts a fault at one place would move it, to first order; null: the fault is not at one place. */
  moves: (edits: readonly Edit[]) => number | null;
}

type Probed = Candidate['touch'] & { blackNode: string; redNode: string };

/** Pieces of copper this near to each other are level. */
const levelV = 1e-4;
/** A reading that would move by less is not solved for: it can be told from a good one only if the law bends wildly. */
const worthV = 2e-3;

export function simulate(
  circuit: Circuit,
  candidates: readonly Candidate[],
  { defects, meter, onProgress = () => undefined }: SimulateOptions,
): Simulated {
  const scale = new MeterScale(meter);
  const whole = meltable(circuit, { switchesClosed: false });
  const sound = whole.melted([]);
  const probed = candidates.map(({ touch }): Probed => ({
    ...touch,
    blackNode: lookUp(circuit.at, touch.black)!,
    redNode: lookUp(circuit.at, touch.red)!,
  }));
  const good = onceForCopper(sound, (probe) => goodReading(sound, probe, scale));
  const otherwise = withUnknownClosed(circuit, scale);
  const readings = probed.map((probe): Reading => {
    const reading = good(probe);
    return isLike(reading, otherwise(probe) ?? reading) ? reading : { ...reading, is: 'unsure' };
  });
  const splits = new Splits(circuit, sound);
  const shownBy = defects.map(({ edits }, index) => {
    onProgress(index / defects.length);
    if (edits.length === 0) return [];
    const faulty = whole.melted(edits);
    const split = splits.of(edits, faulty);
    const faultyV = onceForCopper(faulty, (probe) => {
      const port = portBetween(faulty, faulty.pieceOf(probe.blackNode), faulty.pieceOf(probe.redNode));
      if (!port) return 0;
      const { volts } = good(probe);
      const guess = port.pieces.map((piece) => volts.get(sound.pieceUnder(piece)) ?? 0);
      return scale.settled(port, probe.mode, guess).portV;
    });
    return probed.flatMap((probe, place) => {
      const reading = readings[place]!;
      if (reading.is === 'unsure' || !split.concerns(probe, reading)) return [];
      if (Math.abs(reading.moves(edits) ?? Infinity) < worthV) return [];
      return scale.differs(reading, faultyV(probe), probe.mode) ? [place] : [];
    });
  });
  return { good: readings.map(({ is }) => is), shownBy };
}

/** The readings with everything closed of which nobody knows whether it is; null where all is known. */
function withUnknownClosed(circuit: Circuit, scale: MeterScale): (probe: Probed) => Reading | null {
  if (!circuit.branches.some(({ element }) => element.is === 'unknown switch')) return () => null;
  const closed = meltable(circuit, { switchesClosed: true }).melted([]);
  return onceForCopper(closed, (probe) => goodReading(closed, probe, scale));
}

function isLike(one: Reading, other: Reading): boolean {
  return Math.abs(one.low - other.low) < worthV && Math.abs(one.high - other.high) < worthV;
}

/** What is asked on the same two pieces of copper in the same mode is worked out once. */
function onceForCopper<T>(melted: Melted, work: (probe: Probed) => T): (probe: Probed) => T {
  const known = new Map<string, T>();
  return (probe) => {
    const key = `${melted.pieceOf(probe.blackNode)} ${melted.pieceOf(probe.redNode)} ${probe.mode}`;
    if (!known.has(key)) known.set(key, work(probe));
    return known.get(key)!;
  };
}

function goodReading(sound: Melted, { blackNode, redNode, mode }: Probed, scale: MeterScale): Reading {
  const [black, red] = [sound.pieceOf(blackNode), sound.pieceOf(redNode)];
  const port = portBetween(sound, black, red);
  if (!port) return { is: 'sounds', low: 0, high: 0, volts: new Map([[black, 0]]), live: new Set(), moves: () => null };
  const { portV, volts } = scale.settled(port, mode);
  const ends = ([-1, 1] as const).map((way) => scale.settled(atEndOfSpread(port, way), mode, volts).portV);
  const [low, high] = [Math.min(portV, ...ends), Math.max(portV, ...ends)];
  const nodes = withDeadEnds(sound, new Map(port.pieces.map((piece, place) => [piece, place])));
  return {
    is: scale.is(low, high, mode),
    low,
    high,
    volts: new Map([...nodes].map(([piece, node]) => [piece, volts[node]!])),
    live: new Set(port.branches.map(({ id }) => id)),
    moves: movesOf(sound, port, {
      sensitivity: sensitivityOf(port, scale.drive(mode), volts),
      nodeOf: (name) => nodes.get(sound.pieceOf(name)),
    }),
  };
}

/** What hangs on a piece of copper alone carries nothing: it is as if it were that piece. */
function withDeadEnds({ inners }: Melted, nodes: Map<number, number>): ReadonlyMap<number, number> {
  for (let before = 0; before !== nodes.size;) {
    before = nodes.size;
    for (const { a, b } of inners) {
      if (nodes.has(a) && !nodes.has(b)) nodes.set(b, nodes.get(a)!);
      if (nodes.has(b) && !nodes.has(a)) nodes.set(a, nodes.get(b)!);
    }
  }
  return nodes;
}

/** @param nodeOf The node of the port that a node of the circuit is on. */
function movesOf(
  { inners }: Melted,
  port: PortCircuit,
  { sensitivity, nodeOf }: { sensitivity: Sensitivity; nodeOf: (name: string) => number | undefined },
): Reading['moves'] {
  const isInner = new Set(inners.map(({ id }) => id));
  const known = new Map<string, number>();
  const once = (key: string, work: () => number) => {
    if (!known.has(key)) known.set(key, work());
    return known.get(key)!;
  };
  return (edits) => {
    const [first, second] = edits;
    const join = edits.find((edit) => 'bridge' in edit);
    const isOfInners = edits.every((edit) => !('cut' in edit) || isInner.has(edit.cut));
    // Joined, with or without what lay between the two before.
    if (join && edits.length <= 2 && isOfInners) {
      const [a, b] = join.bridge.map(nodeOf);
      if (a === undefined || b === undefined) return null;
      return once(`${a} ${b} ${join.ohms}`, () => sensitivity.ifJoined(a, b, join.ohms));
    }
    const gone = first && !second && 'cut' in first ? port.branches.find(({ id }) => id === first.cut) : undefined;
    return gone ? once(gone.id, () => sensitivity.ifWithout(gone)) : null;
  };
}

interface Split {
  /** Whether the fault can change what a probe shows. */
  concerns(probe: Probed, good: Reading): boolean;
}

/** What an edit does to the copper of a good circuit: into which pieces it falls, what is joined that is not level. */
class Splits {
  private readonly ends = new Map<string, readonly [string, string]>();
  private readonly onPiece = new Map<number, string[]>();

  constructor(
    { branches }: Circuit,
    private readonly sound: Melted,
  ) {
    for (const { id, a, b } of branches) this.ends.set(id, [a, b]);
    for (const { id, a, b } of sound.inners)
      for (const piece of [a, b]) this.onPiece.set(piece, [...(this.onPiece.get(piece) ?? []), id]);
  }

  of(edits: readonly Edit[], faulty: Melted): Split {
    const cuts = edits.flatMap((edit) => ('cut' in edit ? [this.ends.get(edit.cut) ?? []] : []));
    const joins = edits.flatMap((edit) => ('cut' in edit ? [] : [edit.bridge]));
    const pieces = new Set(cuts.flat().map((node) => this.sound.pieceOf(node)));
    /** For each piece that is cut: what each part of it bears. */
    const parts = [...pieces].map((piece) => {
      const bears = new Map<number, string[]>();
      for (const id of this.onPiece.get(piece) ?? []) {
        const [a, b] = this.ends.get(id)!;
        for (const node of [a, b]) {
          if (this.sound.pieceOf(node) !== piece) continue;
          const part = faulty.pieceOf(node);
          bears.set(part, [...(bears.get(part) ?? []), id]);
        }
      }
      return { piece, bears };
    });
    const removed = edits.flatMap((edit) => ('cut' in edit ? [edit.cut] : []));
    return {
      concerns: ({ blackNode, redNode }, { volts, live }) => {
        if (removed.some((id) => live.has(id))) return true;
        const isUneven = joins.some(([one, other]) => {
          const [a, b] = [volts.get(this.sound.pieceOf(one)), volts.get(this.sound.pieceOf(other))];
          return a !== undefined && b !== undefined && Math.abs(a - b) > levelV;
        });
        if (isUneven) return true;
        return parts.some(({ piece, bears }) => {
          const used = new Set(
            [blackNode, redNode]
              .filter((node) => this.sound.pieceOf(node) === piece)
              .map((node) => faulty.pieceOf(node)),
          );
          for (const [part, ids] of bears) if (ids.some((id) => live.has(id))) used.add(part);
          return used.size > 1;
        });
      },
    };
  }
}
