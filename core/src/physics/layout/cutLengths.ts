/** The wires of a layout that are cut from stock, each with its length and what that is made of. */
import type { Wire, WireEnd } from '../../facts/assembly/build';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import type { Alloy } from '../joints/recipe';
import { alloyOf, recipeFor } from '../joints/recipe';
import type { CutParts } from './cutLength';
import { cutLength } from './cutLength';
import type { Laid } from './laid';
import { routeBetween } from './routes';
import { runsOf } from './runs';

export interface CutWire extends CutParts {
  wire: WireId;
  awg: number;
  colour: string;
  from: TerminalRef;
  to: TerminalRef;
  /** Routing points that it passes. */
  via: readonly string[];
}

/** Stripped for a crimped contact. */
const crimpMm = 2;

/** @param schools Of the plan: slack and solder. */
export function cutLengths(laid: Laid, schools: Readonly<Record<string, string>>): CutWire[] {
  const school = lookUp(schools, 'slack') ?? 'usual';
  const alloy = alloyOf(schools);
  const cut = runsOf(laid).filter(({ wire }) => wire.from === 'stock');
  return cut.map(({ wire, ends }): CutWire => {
    const { mm, via } = routeBetween(laid, ...ends);
    const stripMm = ends.reduce(
      (sum, ref, index) => sum + strippedMm(laid, wire, { ref, end: wire.ends[index]!, alloy }),
      0,
    );
    const parts = cutLength(mm, { school, isTwisted: wire.bundle !== undefined, stripMm });
    return { wire: wire.id, awg: wire.awg, colour: wire.colour, from: ends[0], to: ends[1], via, ...parts };
  });
}

function strippedMm(
  { assembly }: Laid,
  { awg }: Wire,
  { ref, end, alloy }: { ref: TerminalRef; end: WireEnd; alloy: Alloy },
): number {
  return end.by === 'solder' ? recipeFor(awg, assembly.terminal(ref)!, alloy).stripMm : crimpMm;
}
