/** A board from the catalogue's own geometry, to scale, as it lies on the bench, with the pad in question ringed. */
import type { PartModel, Side, Terminal } from '@junctor/core';
import { neighboursOf, terminalRef } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { Marks } from './marks';
import { markOf, markWords } from './marks';
import { boardSize } from './boardSize';
import { Pad } from './Pad';
import type { DrawnWire } from './WireRun';
import { WireRun } from './WireRun';
import { PadLabel } from './PadLabel';
import type { BoardView } from './view';
import { boardView } from './view';

interface BoardProps {
  slot: string;
  model: PartModel;
  side: Side;
  marks: Marks;
  /** The pads in question. */
  rings: readonly string[];
  /** A planned pad that the ring has walked away from. */
  ghost?: string | null;
  onPick?: (terminal: Terminal) => void;
  /** The wire at the pad in question, leaving the panel towards the other hand. */
  wire?: DrawnWire | null;
  /** Names every pad, however small: for reading a board, not for working on one pad. */
  everyLabel?: boolean;
}

export function Board({ slot, model, side, marks, rings, ghost, onPick, wire, everyLabel = false }: BoardProps) {
  const { width, height } = boardSize;
  const shown = model.terminals.filter((terminal) => terminal.sides.includes(side) && terminal.form !== 'tail');
  const ringed = shown.filter(({ id }) => rings.includes(id));
  const view = boardView(model, side, ringed, { widthPx: width, heightPx: height });
  const near = new Set(ringed.flatMap((ring) => neighboursOf(model, ring).map(({ terminal }) => terminal.id)));
  const said = ringed
    .map((terminal) => `${terminal.printed}: ${markWords(markOf(marks, terminalRef(slot, terminal.id)))}`)
    .join('; ');
  const title = `${slot}, ${side} up${said ? `, ring on ${said}` : ''}`;
  return (
    <svg
      width="100%"
      height="100%"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={title}
      data-ring={rings.join(' ')}
      data-board={slot}
    >
      <Outline model={model} view={view} rings={rings} plain={everyLabel} />
      {shown.map((terminal) => (
        <Pad
          key={terminal.id}
          terminal={terminal}
          view={view}
          mark={markOf(marks, terminalRef(slot, terminal.id))}
          ghost={ghost === terminal.id}
          onPick={onPick}
        />
      ))}
      {wire && ringed[0] && <WireRun wire={wire} terminal={ringed[0]} model={model} view={view} />}
      {shown.map((terminal) => {
        const strengthOf = () => {
          if (rings.includes(terminal.id)) {
            if (ringed.length > 1) return 'near';
            return 'ring';
          }
          if (near.has(terminal.id)) return 'near';
          if (everyLabel) return 'small';
          return 'quiet';
        };
        return <PadLabel key={terminal.id} terminal={terminal} model={model} view={view} strength={strengthOf()} />;
      })}
      {ringed.length === 1 && <Ring terminal={ringed[0]!} view={view} />}
      {ringed.length > 1 && <RingAround terminals={ringed} view={view} />}
      {view.zoomed && ringed[0] && <Inset model={model} side={side} ringed={ringed[0]} view={view} />}
    </svg>
  );
}

export function Outline({
  model,
  view,
  rings,
  plain,
}: {
  model: PartModel;
  view: BoardView;
  rings: readonly string[];
  plain: boolean;
}) {
  const theme = useTheme();
  const points = model.body.outlineMm.map((at) => view.toPx(at).join(',')).join(' ');
  return (
    <g>
      <polygon points={points} fill={theme.board} stroke={theme.ink} strokeWidth={2} />
      {model.body.holes.map(({ atMm, drillMm }) => {
        const [x, y] = view.toPx(atMm);
        return (
          <circle
            key={`${x},${y}`}
            cx={x}
            cy={y}
            r={(drillMm / 2) * view.pxPerMm}
            fill={theme.paper}
            stroke={theme.ink}
            strokeWidth={1.2}
          />
        );
      })}
      {model.body.openings.map(({ what, atMm }) => {
        const [x, y] = view.toPx(atMm);
        const r = (what === 'usb' ? 0 : 1.4) * view.pxPerMm;
        return r > 0 ? (
          <g key={`${what}${x}`}>
            <circle cx={x} cy={y} r={r} fill="none" stroke={theme.quiet} strokeWidth={1.2} strokeDasharray="3 2" />
            <text x={x} y={y + r + 14} textAnchor="middle" fontSize={13} fill={theme.quiet}>
              {what}
            </text>
          </g>
        ) : null;
      })}
      {model.connectors.map((connector) => (
        <Plug
          key={connector.id}
          model={model}
          pins={connector.pins}
          label={connector.pins.some((id) => rings.includes(id)) ? null : connector.id}
          view={view}
          above={plain}
        />
      ))}
      {model.body.arrowDeg !== null && !view.zoomed && !plain && <Arrow deg={model.body.arrowDeg} view={view} />}
    </g>
  );
}

/** The shell around the pins of a connector, with its name. */
function Plug({
  model,
  pins,
  label,
  view,
  above,
}: {
  model: PartModel;
  pins: readonly string[];
  label: string | null;
  view: BoardView;
  above: boolean;
}) {
  const theme = useTheme();
  const own = model.terminals.filter(({ id }) => pins.includes(id));
  const corners = own.flatMap(({ atMm, sizeMm }) => [
    view.toPx([atMm[0] - sizeMm[0] / 2 - 0.7, atMm[1] - sizeMm[1] / 2 - 0.7]),
    view.toPx([atMm[0] + sizeMm[0] / 2 + 0.7, atMm[1] + sizeMm[1] / 2 + 0.7]),
  ]);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={Math.max(...xs) - x}
        height={Math.max(...ys) - y}
        fill={theme.paper}
        stroke={theme.quiet}
        strokeWidth={1.4}
        strokeDasharray="4 3"
        rx={2}
      />
      {label && above && (
        <text x={(x + Math.max(...xs)) / 2} y={y - 4} textAnchor="middle" fontSize={11} fill={theme.ink}>
          {label}
        </text>
      )}
      {label && !above && (
        <text x={x - 5} y={y + 12} textAnchor="end" fontSize={14} fill={theme.ink}>
          {/^J\d/.test(label) ? `plug ${label}` : 'plug'}
        </text>
      )}
    </g>
  );
}

function Arrow({ deg, view }: { deg: number; view: BoardView }) {
  const theme = useTheme();
  const rad = (deg * Math.PI) / 180;
  const [x, y] = view.toPx([0, 0]);
  const [tipX, tipY] = view.toPx([5 * Math.cos(rad), 5 * Math.sin(rad)]);
  const [ax, ay] = [tipX - x, tipY - y];
  return (
    <g stroke={theme.quiet} fill="none" strokeWidth={3}>
      <path d={`M${x - ax} ${y - ay}L${tipX} ${tipY}`} />
      <path
        d={`M${tipX - ax * 0.35 - ay * 0.25} ${tipY - ay * 0.35 + ax * 0.25}L${tipX} ${tipY}L${tipX - ax * 0.35 + ay * 0.25} ${tipY - ay * 0.35 - ax * 0.25}`}
      />
    </g>
  );
}

function Ring({ terminal, view }: { terminal: Terminal; view: BoardView }) {
  const theme = useTheme();
  const [x, y] = view.toPx(terminal.atMm);
  const r = (Math.hypot(...terminal.sizeMm) / 2) * view.pxPerMm + 7;
  return (
    <g fill="none" stroke={theme.bronze} pointerEvents="none">
      <circle cx={x} cy={y} r={r} strokeWidth={4} />
      <circle cx={x} cy={y} r={r + 7} strokeWidth={1.8} />
    </g>
  );
}

/** A row of pads in question: one line round them all. */
function RingAround({ terminals, view }: { terminals: readonly Terminal[]; view: BoardView }) {
  const theme = useTheme();
  const corners = terminals.flatMap(({ atMm: [x, y], sizeMm: [w, h] }) => [
    view.toPx([x - w / 2, y - h / 2]),
    view.toPx([x + w / 2, y + h / 2]),
  ]);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const box = (by: number, strokeWidth: number) => (
    <rect
      x={left - by}
      y={top - by}
      width={Math.max(...xs) - left + 2 * by}
      height={Math.max(...ys) - top + 2 * by}
      rx={by + 3}
      strokeWidth={strokeWidth}
    />
  );
  return (
    <g fill="none" stroke={theme.bronze} pointerEvents="none">
      {box(7, 4)}
      {box(13, 1.8)}
    </g>
  );
}

/** The whole board, small: where on it the zoomed view is. */
function Inset({ model, side, ringed, view }: { model: PartModel; side: Side; ringed: Terminal; view: BoardView }) {
  const theme = useTheme();
  const size = 112;
  const small = boardView(model, side, [], { widthPx: size, heightPx: size });
  const points = model.body.outlineMm.map((at) => small.toPx(at).join(',')).join(' ');
  const [x, y] = small.toPx(ringed.atMm);
  const left = view.toPx(ringed.atMm)[0] > boardSize.width / 2;
  const down = view.toPx(ringed.atMm)[1] < boardSize.height / 2;
  return (
    <g transform={`translate(${left ? 4 : boardSize.width - size - 4} ${down ? boardSize.height - size - 4 : 4})`}>
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
