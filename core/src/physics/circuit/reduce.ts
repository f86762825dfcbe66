/**
 * A circuit made small for the meter's port: conductors melted into one node, and only the part that hangs
 * together with the two probes kept.
 */
import type { Circuit } from './compile';
import type { Melted } from './melt';
import { meltable } from './melt';
import { portOf, withoutDeadEnds } from './port';

/**
 * The circuit between two nodes, with all that a charge can lie on.
 * @param conductorBelowOhms Resistors below this become plain copper: 0 keeps all (needed to measure ohms).
 * @param switchesClosed What the switches of unknown state are taken for.
 */
export function reduceToPort(
  circuit: Circuit,
  { blackNode, redNode }: { blackNode: string; redNode: string },
  conductorBelowOhms: number,
  switchesClosed: boolean,
): ReturnType<typeof portOf> {
  const { inners, pieceOf } = meltable(circuit, { switchesClosed, belowOhms: conductorBelowOhms }).melted([]);
  return portOf(inners, pieceOf(blackNode), pieceOf(redNode));
}

/** What can carry a lasting current from one piece of copper to another; null when they are one. */
export function portBetween({ inners }: Pick<Melted, 'inners'>, black: number, red: number) {
  return black === red ? null : portOf(withoutDeadEnds(inners, [black, red]), black, red);
}
