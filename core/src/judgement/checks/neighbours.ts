/** Terminals that lie so close on one side of a board that solder can bridge them. */
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { gapMm } from '../../physics/geometry/gap';
import type { Assembly } from '../../facts/assembly/assembly';

/** Copper to copper, in mm. */
export const neighbourWithinMm = 2;

/** Neighbours of a terminal on the same side of its board, nearest first. */
export function neighboursOf(model: PartModel, terminal: Terminal): { terminal: Terminal; gapMm: number }[] {
  return model.terminals
    .filter((other) => other.id !== terminal.id && other.sides.some((side) => terminal.sides.includes(side)))
    .map((other) => ({ terminal: other, gapMm: gapMm(terminal, other) }))
    .filter((pair) => pair.gapMm <= neighbourWithinMm)
    .sort((a, b) => a.gapMm - b.gapMm);
}

/** Each pair of neighbours in the build once. Contacts under a connector belong to its plug and are left out. */
export function neighbourPairs(assembly: Assembly): (readonly [TerminalRef, TerminalRef])[] {
  return Object.keys(assembly.build.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    const boards = model.terminals.filter(({ form }) => form !== 'pin' && form !== 'tail');
    return boards.flatMap((terminal, index) =>
      neighboursOf({ ...model, terminals: boards.slice(index) }, terminal).map(
        (near) => [terminalRef(slot, terminal.id), terminalRef(slot, near.terminal.id)] as const,
      ),
    );
  });
}

/** Each pin of a plug on a board with the next. */
export function besideInPlug(assembly: Assembly): (readonly [TerminalRef, TerminalRef])[] {
  return Object.keys(assembly.build.slots).flatMap((slot) =>
    assembly
      .model(slot)!
      .connectors.flatMap(({ pins }) =>
        pins.slice(1).map((pin, index) => [terminalRef(slot, pins[index]!), terminalRef(slot, pin)] as const),
      ),
  );
}
