/** A board's outline with every pad that is seen on a side, each with its state by form. */
import type { PartModel, Side, Terminal } from '@junctor/core';
import { terminalRef } from '@junctor/core';
import { shownOn } from './boardLabels';
import type { Marks } from './marks';
import { markOf } from './marks';
import { Outline } from './Outline';
import { Pad } from './Pad';
import type { BoardView } from './view';

interface PadsProps {
  slot: string;
  model: PartModel;
  side: Side;
  view: BoardView;
  marks: Marks;
  /** Whether the printed arrow is drawn. */
  arrow?: boolean;
  /** A planned pad that the ring has walked away from. */
  ghost?: string | null | undefined;
  onPick?: ((terminal: Terminal) => void) | undefined;
}

export function Pads({ slot, model, side, view, marks, arrow = false, ghost = null, onPick }: PadsProps) {
  return (
    <>
      <Outline model={model} view={view} arrow={arrow} />
      {shownOn(model, side).map((terminal) => (
        <Pad
          key={terminal.id}
          terminal={terminal}
          view={view}
          mark={markOf(marks, terminalRef(slot, terminal.id))}
          ghost={ghost === terminal.id}
          onPick={onPick}
        />
      ))}
    </>
  );
}
