/** A board in one hand. */
import { slotTitle } from '@junctor/core';
import type { TerminalRef } from '@junctor/core';
import type { Terminal } from '@junctor/core';
import type { Side } from '@junctor/core';
import type { PartModel } from '@junctor/core';
import { Board, sideFor } from '../../drawing/Board';
import { terminalMarks } from '../../drawing/marks';
import type { DrawnWire } from '../../drawing/WireRun';
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';

export interface HandOptions {
  /** Where the ring has walked to, on the left board. */
  ringAt?: TerminalRef | null;
  /** Turned over by hand. */
  flipped?: boolean;
  onPick?: (ref: TerminalRef) => void;
}

interface BoardOptions extends HandOptions {
  ghost?: string | null;
  wire?: DrawnWire | null;
  /** What stands before the print of a pad: the probe that is on it. */
  tags?: Readonly<Record<string, string>>;
  /** The pad of the other probe, when it is on this board too. */
  other?: string | null;
}

export function boardHand(
  bench: Bench,
  slot: string,
  rings: readonly string[],
  { flipped = false, ghost = null, wire = null, tags = {}, other = null, onPick }: BoardOptions,
): Hand {
  const { target } = bench.state;
  const model = target.model(slot)!;
  const side = sideFor(model, rings, flipped);
  const pick = onPick && ((terminal: Terminal) => onPick(`${slot}.${terminal.id}`));
  return {
    title: slotTitle(slot, target),
    note: `${side === 'top' ? 'top side up' : 'underside up'}${arrowWords(model, side)}`,
    body: (
      <Board
        slot={slot}
        model={model}
        side={side}
        marks={terminalMarks(bench.state)}
        rings={rings}
        ghost={ghost}
        wire={wire}
        tags={tags}
        other={other}
        {...(pick ? { onPick: pick } : {})}
      />
    ),
  };
}

/** Where the printed arrow points on the screen. */
function arrowWords({ body }: PartModel, side: Side): string {
  if (body.arrowDeg === null) return '';
  const deg = (((side === 'bottom' ? 180 - body.arrowDeg : body.arrowDeg) % 360) + 360) % 360;
  return `, arrow ${['to the right', 'up', 'to the left', 'down'][Math.round(deg / 90) % 4]}`;
}
