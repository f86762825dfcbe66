/**
 * Whether a fault can change what a probe shows, told from the currents and volts of the good circuit alone. Where
 * nothing flows through what is cut and what is joined is level, the good solution is the faulty one too; and a circuit
 * of resistances and junctions makes of a small current or difference no more than the meter's own resistance lets it.
 */
import type { Melted } from '../../../physics/circuit/melt';
import type { FaultyCopper } from './faultyCopper';

/** The good circuit while a probe is set down. */
export interface Settled {
  /** Of every piece of copper that hangs on the probes. */
  volts: ReadonlyMap<number, number>;
  /** Through each element that lies on a way from one probe to the other, from a to b. */
  amps: ReadonlyMap<string, number>;
  /** Out of the red probe, into the black one. */
  probeA: number;
}

/** The nodes that the probes are on. */
export interface Probes {
  blackNode: string;
  redNode: string;
}

/** Currents below `leastA` and differences below `leastV` are none. */
export function mayShow(
  { faulty, cuts, joins, cutPieces }: FaultyCopper,
  { blackNode, redNode }: Probes,
  { volts, amps, probeA }: Settled,
  { sound, leastA, leastV }: { sound: Melted; leastA: number; leastV: number },
): boolean {
  if (cuts.some((id) => Math.abs(amps.get(id) ?? 0) > leastA)) return true;
  if (joins.some(({ pieces: [a, b] }) => Math.abs(volts.get(a)! - volts.get(b)!) > leastV)) return true;
  // What hangs on nothing so far becomes a way between all that it is joined with.
  const besideLoose = joins.flatMap(({ pieces: [a, b] }) =>
    volts.has(a) === volts.has(b) ? [] : [volts.get(a) ?? volts.get(b)!],
  );
  if (Math.max(...besideLoose) - Math.min(...besideLoose) > leastV) return true;
  return cutPieces.some(({ piece, ends, isOpened }) => {
    if (isOpened) return true;
    const into = new Map<number, number>();
    const flow = (part: number, flowing: number) => into.set(part, (into.get(part) ?? 0) + flowing);
    for (const { inner, end, part } of ends) flow(part, (end === 'a' ? -1 : 1) * (amps.get(inner.id) ?? 0));
    if (sound.pieceOf(redNode) === piece) flow(faulty.pieceOf(redNode), probeA);
    if (sound.pieceOf(blackNode) === piece) flow(faulty.pieceOf(blackNode), -probeA);
    return [...into.values()].some((flowing) => Math.abs(flowing) > leastA);
  });
}
