/** Terminals that lie so close on one side of a board that solder can bridge them. */
import type { Build } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { modelIn } from '../catalogue/catalogue';
import type { PartModel, Terminal } from '../catalogue/partModel';
import type { TerminalRef } from '../names';
import { terminalRef } from '../names';

/** Copper to copper, in mm. */
export const neighbourWithinMm = 2;

/** The gap between the edges of two terminals as drawn, in mm; 0 when they overlap. */
export function gapMm(a: Terminal, b: Terminal): number {
  const along = (axis: 0 | 1) =>
    Math.max(0, Math.abs(a.atMm[axis] - b.atMm[axis]) - (a.sizeMm[axis] + b.sizeMm[axis]) / 2);
  return Math.hypot(along(0), along(1));
}

/** Neighbours of a terminal on the same side of its board, nearest first. */
export function neighboursOf(model: PartModel, terminal: Terminal): { terminal: Terminal; gapMm: number }[] {
  return model.terminals
    .filter((other) => other.id !== terminal.id && other.sides.some((side) => terminal.sides.includes(side)))
    .map((other) => ({ terminal: other, gapMm: gapMm(terminal, other) }))
    .filter((pair) => pair.gapMm <= neighbourWithinMm)
    .sort((a, b) => a.gapMm - b.gapMm);
}

/** Each pair of neighbours in the build once. Contacts under a connector belong to its plug and are left out. */
export function neighbourPairs(build: Build, catalogue: Catalogue): (readonly [TerminalRef, TerminalRef])[] {
  return Object.keys(build.slots).flatMap((slot) => {
    const model = modelIn(build, slot, catalogue)!;
    const boards = model.terminals.filter(({ form }) => form !== 'pin' && form !== 'tail');
    return boards.flatMap((terminal, index) =>
      neighboursOf({ ...model, terminals: boards.slice(index) }, terminal).map(
        (near) => [terminalRef(slot, terminal.id), terminalRef(slot, near.terminal.id)] as const,
      ),
    );
  });
}
