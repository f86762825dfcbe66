/** The copper of a good build as probes find it. */
import type { Assembly } from '../../../facts/assembly/assembly';
import { lookUp } from '../../../facts/terms/lookUp';
import type { TerminalRef } from '../../../facts/terms/names';
import type { Circuit } from '../../../physics/circuit/compile';
import { compileSound } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';

interface GoodCopper {
  circuit: Circuit;
  copper: Melted;
  /** The piece that a terminal is on. */
  pieceOf: (ref: TerminalRef) => number;
}

export function goodCopper(assembly: Assembly): GoodCopper {
  const circuit = compileSound(assembly);
  const copper = meltable(circuit, { switchesClosed: false }).melted([]);
  return { circuit, copper, pieceOf: (ref) => copper.pieceOf(lookUp(circuit.at, ref)!) };
}
