/** The wires of a layout that are cut from stock, each with its length and what that is made of. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Wire, WireEnd } from '../../facts/assembly/build';
import type { PlanChange } from '../../facts/plan/planChange';
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

/**
 * The changes that give wires of the plan the lengths of this layout.
 * @param settled Wires that are there already, or were cut and measured.
 */
export function lengthChanges(
  laid: Laid,
  schools: Readonly<Record<string, string>>,
  settled: ReadonlySet<WireId>,
): PlanChange[] {
  return cutLengths(laid, schools).flatMap(({ wire, mm }): PlanChange[] => {
    const before = lookUp(laid.assembly.build.wires, wire)!;
    return before.lengthMm === mm || settled.has(wire)
      ? []
      : [{ path: `wires/${wire}`, before, after: { ...before, lengthMm: mm } }];
  });
}

/** Stripped for a crimped contact. */
const crimpMm = 2;

/** @param schools Of the plan: slack and solder. */
export function cutLengths(laid: Laid, schools: Readonly<Record<string, string>>): CutWire[] {
  const cut = runsOf(laid).filter(({ wire }) => wire.from === 'stock');
  return cut.map(({ wire, ends }): CutWire => {
    const { mm, via } = routeBetween(laid, ...ends);
    const parts = cutPartsOf(laid.assembly, { wire, ends, runMm: mm }, schools);
    return { wire: wire.id, awg: wire.awg, colour: wire.colour, from: ends[0], to: ends[1], via, ...parts };
  });
}

/** Its own way and what both its ends take. */
export function cutPartsOf(
  assembly: Assembly,
  { wire, ends, runMm }: { wire: Wire; ends: readonly [TerminalRef, TerminalRef]; runMm: number },
  schools: Readonly<Record<string, string>>,
): CutParts {
  const alloy = alloyOf(schools);
  const stripMm = ends.reduce(
    (sum, ref, index) => sum + strippedMm(assembly, wire, { ref, end: wire.ends[index]!, alloy }),
    0,
  );
  const school = lookUp(schools, 'slack') ?? 'usual';
  return cutLength(runMm, { school, isTwisted: wire.bundle !== undefined, stripMm });
}

function strippedMm(
  assembly: Assembly,
  { awg }: Wire,
  { ref, end, alloy }: { ref: TerminalRef; end: WireEnd; alloy: Alloy },
): number {
  return end.by === 'solder' ? recipeFor(awg, assembly.terminal(ref)!, alloy).stripMm : crimpMm;
}
