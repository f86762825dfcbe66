/** A board from the catalogue's own geometry, to scale, as it lies on the bench, with the pad in question ringed. */
import type { PartModel, Side, Terminal } from '@junctor/core';
import { terminalOf, terminalRef } from '@junctor/core';
import { boardLabels, shownOn } from './boardLabels';
import { boardSize } from './boardSize';
import { Inset } from './Inset';
import { Label } from './Label';
import type { Marks } from './marks';
import { markOf, markWords } from './marks';
import { Pads } from './Pads';
import { Ring, RingAround } from './Rings';
import { boardView } from './view';
import type { DrawnWire } from './WireRun';
import { WireRun } from './WireRun';

interface BoardProps {
  slot: string;
  model: PartModel;
  side: Side;
  marks: Marks;
  /** The pads in question. */
  rings: readonly string[];
  /** What stands before the print of a pad: the probe that is on it. */
  tags?: Readonly<Record<string, string>>;
  /** The pad of the other probe, when it is on this board too. */
  other?: string | null;
  /** A planned pad that the ring has walked away from. */
  ghost?: string | null;
  onPick?: (terminal: Terminal) => void;
  /** The wire at the pad in question, leaving the panel towards the other hand. */
  wire?: DrawnWire | null;
  /** Names every pad, however small: for reading a board, not for working on one pad. */
  everyLabel?: boolean;
}

/** Nearer than this, both probes are drawn close. */
const togetherMm = 12;

export function Board({
  slot,
  model,
  side,
  marks,
  rings,
  tags = {},
  other,
  ghost,
  onPick,
  wire,
  everyLabel,
}: BoardProps) {
  const { width, height } = boardSize;
  const every = everyLabel ?? false;
  const shown = shownOn(model, side);
  const ringed = shown.filter(({ id }) => rings.includes(id));
  const also = shown.find(({ id }) => id === other) ?? null;
  const focus = also && ringed[0] && apartMm(also, ringed[0]) < togetherMm ? [...ringed, also] : ringed;
  const view = boardView(model, side, focus, { widthPx: width, heightPx: height });
  // What bears a name of its own is ringed by itself.
  const isRow = ringed.length > 1 && ringed.every(({ id }) => tags[id] === undefined);
  const said = [...ringed, ...(also ? [also] : [])]
    .map(({ id, printed }) => {
      const tag = tags[id] ? `${tags[id]} on ` : '';
      return `${tag}${printed}: ${markWords(markOf(marks, terminalRef(slot, id)))}`;
    })
    .join('; ');
  return (
    <svg
      width="100%"
      height="100%"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${slot}, ${side} up${said ? `, ring on ${said}` : ''}`}
      data-ring={rings.join(' ')}
      data-board={slot}
    >
      <Pads
        slot={slot}
        model={model}
        side={side}
        view={view}
        marks={marks}
        arrow={!view.zoomed && !every}
        ghost={ghost}
        onPick={onPick}
      />
      {wire && ringed[0] && <WireRun wire={wire} terminal={ringed[0]} model={model} view={view} />}
      {view.zoomed && ringed[0] && <Inset model={model} side={side} ringed={ringed[0]} view={view} />}
      {isRow ? (
        <RingAround terminals={ringed} view={view} />
      ) : (
        ringed.map((terminal) => <Ring key={terminal.id} terminal={terminal} view={view} />)
      )}
      {also && <Ring terminal={also} view={view} other />}
      {boardLabels({ model, side, view, rings, tags, every }).map((label) => (
        <Label key={label.id} label={label} />
      ))}
    </svg>
  );
}

function apartMm(a: Terminal, b: Terminal): number {
  return Math.hypot(a.atMm[0] - b.atMm[0], a.atMm[1] - b.atMm[1]);
}

/** The side that shows the pads in question; turned over when asked. */
export function sideFor(model: PartModel, rings: readonly string[], flipped: boolean): Side {
  const onTop = rings.every((id) => terminalOf(model, id)?.sides.includes('top') ?? true);
  return onTop !== flipped ? 'top' : 'bottom';
}
