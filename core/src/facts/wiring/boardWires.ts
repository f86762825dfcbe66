/**
 * Everything that is wired to one board, old and new together: what stays, what comes off, what goes on, and what of it
 * is done. The old is what came in with the quad, the new what the plan wants; how far it is tells the as-built record.
 */
import type { Wire } from '../assembly/build';
import { sameFitted } from '../assembly/build';
import type { Slot, TerminalId, TerminalRef } from '../terms/names';
import { jointName, splitRef } from '../terms/names';
import { terminalUnder } from './terminalUnder';
import type { Assembly, Stages } from '../assembly/assembly';
import { isBoard } from '../catalogue/kinds';
import { lookUp } from '../terms/lookUp';

export type Becomes = 'stays' | 'comes off' | 'goes on' | 'differs';

export interface BoardWire {
  /** `W3.b`; a wire that moves on the board has one entry for each place. */
  joint: string;
  wire: Wire;
  end: 0 | 1;
  terminal: TerminalId;
  /** Where its other end leads, also through a plug; null when it is in the air. */
  other: TerminalRef | null;
  /** differs: it is where neither the plan nor the quad as it came in has it. */
  becomes: Becomes;
  /** It stays, is off already, or is on already. */
  done: boolean;
}

/** The same board in two revisions is two boards: the old one keeps its own wires. */
export interface BoardOf {
  slot: Slot;
  from: 'start' | 'target';
}

/** Boards with wires on them, new ones first, then those that come off. */
export function boardsOf(stages: Stages): BoardOf[] {
  const [start, target] = [stages.start.build, stages.target.build];
  const wired = (board: BoardOf) =>
    isBoard(stages[board.from].model(board.slot)!) && boardWires(board, stages).length > 0;
  const old = Object.keys(start.slots).filter(
    (slot) => !sameFitted(lookUp(start.slots, slot), lookUp(target.slots, slot)),
  );
  return [
    ...Object.keys(target.slots).map((slot): BoardOf => ({ slot, from: 'target' })),
    ...old.map((slot): BoardOf => ({ slot, from: 'start' })),
  ].filter(wired);
}

/** Wires on a board, in the order of their names. */
export function boardWires({ slot, from }: BoardOf, stages: Stages): BoardWire[] {
  const { start, asBuilt, target } = stages;
  const board = lookUp(stages[from].build.slots, slot);
  const found: BoardWire[] = [];
  for (const id of new Set([start, asBuilt, target].flatMap(({ build }) => Object.keys(build.wires)))) {
    for (const end of [0, 1] as const) {
      const at = (assembly: Assembly) =>
        sameFitted(lookUp(assembly.build.slots, slot), board) ? terminalOn(assembly, id, end, slot) : null;
      const [before, now, after] = [at(start), at(asBuilt), at(target)];
      const add = (assembly: Assembly, terminal: TerminalId, becomes: Becomes, done: boolean) => {
        const wire = lookUp(assembly.build.wires, id)!;
        if (wire.ends[end].by === 'factory') return;
        found.push({
          joint: jointName(id, end),
          wire,
          end,
          terminal,
          other: terminalUnder(assembly, wire.ends[end === 0 ? 1 : 0]),
          becomes,
          done,
        });
      };
      if (before && before === after) add(target, before, 'stays', now === before);
      else {
        if (before) add(start, before, 'comes off', now !== before);
        if (after) add(target, after, 'goes on', now === after);
      }
      if (now && now !== before && now !== after) add(asBuilt, now, 'differs', true);
    }
  }
  return found.sort((a, b) => a.joint.localeCompare(b.joint, 'en', { numeric: true }));
}

function terminalOn(assembly: Assembly, id: string, end: 0 | 1, slot: Slot): TerminalId | null {
  const wire = lookUp(assembly.build.wires, id);
  const ref = wire ? terminalUnder(assembly, wire.ends[end]) : null;
  return ref && splitRef(ref).slot === slot ? splitRef(ref).terminal : null;
}
