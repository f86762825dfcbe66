/** A circuit made small for the meter's port: conductors melted into one node, and only what hangs on the probes. */
import type { Circuit } from './compile';
import { meltable } from './melt';
import type { PortCircuit } from './port';
import { portOf } from './port';

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
): PortCircuit {
  const { inners, pieceOf } = meltable(circuit, { switchesClosed, belowOhms: conductorBelowOhms }).melted([]);
  return portOf(inners, pieceOf(blackNode), pieceOf(redNode));
}
