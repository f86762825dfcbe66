/** The wire at a pad, in its true colour: leaves along the pad's axis, bends by 45 degrees, runs to the other hand. */
import type { WireBand } from '@junctor/core';
import { wireBand } from '@junctor/core';
import type { PartModel, Terminal, XY } from '@junctor/core';
import { useTheme } from 'styled-components';
import { boardSize } from './boardSize';
import { inwards } from './boardLabels';
import type { BoardView } from './view';
import { darkEdge, wireColour } from './wireColours';

export interface DrawnWire {
  colour: string;
  awg: number;
  /** Hollow while planned, filled once landed. */
  landed: boolean;
  towards: 'left' | 'right';
}

const bendPx = 12;
/** A planned wire is hollow: two edges in its own colour. */
const hollowEdge = 4;

const widthPx: Readonly<Record<WireBand, number>> = { thick: 12, medium: 8, thin: 6 };

export function WireRun({
  wire,
  terminal,
  model,
  view,
}: {
  wire: DrawnWire;
  terminal: Terminal;
  model: PartModel;
  view: BoardView;
}) {
  const theme = useTheme();
  const { fill, light } = wireColour(wire.colour);
  const width = widthPx[wireBand(wire.awg)];
  const path = run(terminal, model, view, wire.towards);
  return (
    <g fill="none" strokeLinejoin="round" pointerEvents="none" data-wire={wire.landed ? 'landed' : 'planned'}>
      <path d={path} stroke={light ? darkEdge : theme.ink} strokeWidth={width + 3} />
      <path d={path} stroke={fill} strokeWidth={width} />
      {!wire.landed && <path d={path} stroke={theme.paper} strokeWidth={width - hollowEdge} />}
    </g>
  );
}

/** Out of the board by the nearest edge, then along it to the other hand; straight where the edge faces that way. */
function run(terminal: Terminal, model: PartModel, view: BoardView, towards: 'left' | 'right'): string {
  const [x, y] = view.toPx(terminal.atMm);
  const [dx, dy] = inwards(terminal, model, view);
  const endX = towards === 'left' ? 0 : boardSize.width;
  const side = Math.sign(endX - x);
  if (dx !== 0) return points([x, y], [endX, y]);
  const outY = y - dy * ((terminal.sizeMm[1] / 2) * view.pxPerMm + 16);
  return points([x, y], [x, outY + dy * bendPx], [x + side * bendPx, outY], [endX, outY]);
}

function points(...at: readonly XY[]): string {
  return `M${at.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
}
