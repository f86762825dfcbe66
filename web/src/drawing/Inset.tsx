/** The whole board, small: where on it the zoomed view is. */
import type { PartModel, Side, Terminal } from '@junctor/core';
import { useTheme } from 'styled-components';
import { boardSize } from './boardSize';
import type { Box } from './labels';
import type { BoardView } from './view';
import { boardView } from './view';

const size = 112;

/** Where it stands: in the corner that is farthest from the pad in question. */
export function insetBox(ringed: Terminal, view: BoardView): Box {
  const [x, y] = view.toPx(ringed.atMm);
  const half = size / 2 + 4;
  return {
    x: x > boardSize.width / 2 ? half : boardSize.width - half,
    y: y < boardSize.height / 2 ? boardSize.height - half : half,
    w: size,
    h: size,
  };
}

export function Inset({
  model,
  side,
  ringed,
  view,
}: {
  model: PartModel;
  side: Side;
  ringed: Terminal;
  view: BoardView;
}) {
  const theme = useTheme();
  const small = boardView(model, side, [], { widthPx: size, heightPx: size });
  const points = model.body.outlineMm.map((at) => small.toPx(at).join(',')).join(' ');
  const [x, y] = small.toPx(ringed.atMm);
  const box = insetBox(ringed, view);
  return (
    <g transform={`translate(${box.x - size / 2} ${box.y - size / 2})`}>
      <rect width={size} height={size} fill={theme.paper} stroke={theme.edge} rx={4} />
      <polygon points={points} fill={theme.board} stroke={theme.ink} strokeWidth={1.2} />
      {model.terminals
        .filter((terminal) => terminal.sides.includes(side) && terminal.form !== 'tail')
        .map((terminal) => {
          const [px, py] = small.toPx(terminal.atMm);
          return <rect key={terminal.id} x={px - 1.5} y={py - 1.5} width={3} height={3} fill={theme.padDone} />;
        })}
      <circle cx={x} cy={y} r={7} fill="none" stroke={theme.bronze} strokeWidth={3} />
    </g>
  );
}
