/**
 * Everything that is wired to one board, old and new together: what stays, what comes off, what goes on, and what of it
 * is done. The old is what came in with the quad, the new what the plan wants; how far it is tells the as-built record.
 */
import type { Build, Wire } from '../assembly/build';
import { sameFitted } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import type { Slot, TerminalId, TerminalRef } from '../terms/names';
import { jointName, splitRef } from '../terms/names';
import { terminalUnder } from './terminalUnder';
import { modelIn } from '../assembly/lookUp';

export interface Stages {
  start: Build;
  asBuilt: Build;
  target: Build;
}

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
export function boardsOf(stages: Stages, catalogue: Catalogue): BoardOf[] {
  const { start, target } = stages;
  const wired = (board: BoardOf) =>
    isBoard(stages[board.from], board.slot, catalogue) && boardWires(board, stages, catalogue).length > 0;
  const old = Object.keys(start.slots).filter((slot) => !sameFitted(start.slots[slot], target.slots[slot]));
  return [
    ...Object.keys(target.slots).map((slot): BoardOf => ({ slot, from: 'target' })),
    ...old.map((slot): BoardOf => ({ slot, from: 'start' })),
  ].filter(wired);
}

/** Wires on a board, in the order of their names. */
export function boardWires({ slot, from }: BoardOf, stages: Stages, catalogue: Catalogue): BoardWire[] {
  const { start, asBuilt, target } = stages;
  const board = stages[from].slots[slot];
  const found: BoardWire[] = [];
  for (const id of new Set([start, asBuilt, target].flatMap(({ wires }) => Object.keys(wires)))) {
    for (const end of [0, 1] as const) {
      const at = (build: Build) =>
        sameFitted(build.slots[slot], board) ? terminalOn(build, id, end, slot, catalogue) : null;
      const [before, now, after] = [at(start), at(asBuilt), at(target)];
      const add = (build: Build, terminal: TerminalId, becomes: Becomes, done: boolean) => {
        const wire = build.wires[id]!;
        if (wire.ends[end].by === 'factory') return;
        found.push({
          joint: jointName(id, end),
          wire,
          end,
          terminal,
          other: terminalUnder(build, wire.ends[end === 0 ? 1 : 0], catalogue),
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

function isBoard(build: Build, slot: Slot, catalogue: Catalogue): boolean {
  return modelIn(build, slot, catalogue)?.terminals.some(({ form }) => form !== 'tail' && form !== 'metal') ?? false;
}

function terminalOn(build: Build, id: string, end: 0 | 1, slot: Slot, catalogue: Catalogue): TerminalId | null {
  const wire = build.wires[id];
  const ref = wire ? terminalUnder(build, wire.ends[end], catalogue) : null;
  return ref && splitRef(ref).slot === slot ? splitRef(ref).terminal : null;
}
