/** A board without its pads: outline, holes, openings, plugs, the printed arrow. */
import type { PartModel } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { Box } from './labels';
import type { BoardView } from './view';

/** The shell of a plug reaches this far beyond its pins. */
const shellMm = 0.7;
/** The name of an opening stands so far under it. */
const openingTextPx = 14;

export function Outline({
  model,
  view,
  arrow,
}: {
  model: PartModel;
  view: BoardView;
  /** Whether the printed arrow is drawn. */
  arrow: boolean;
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
        const r = openingMm(what) * view.pxPerMm;
        return r > 0 ? (
          <g key={`${what}${x}`}>
            <circle cx={x} cy={y} r={r} fill="none" stroke={theme.quiet} strokeWidth={1.2} strokeDasharray="3 2" />
            <text x={x} y={y + r + openingTextPx} textAnchor="middle" fontSize={13} fill={theme.quiet}>
              {what}
            </text>
          </g>
        ) : null;
      })}
      {model.connectors.map((connector) => (
        <Plug key={connector.id} box={plugBox(model, connector.pins, view)} />
      ))}
      {model.body.arrowDeg !== null && arrow && <Arrow deg={model.body.arrowDeg} view={view} />}
    </g>
  );
}

/** A lamp or a button is drawn; a USB shell is a terminal of its own. */
function openingMm(what: string): number {
  return what === 'usb' ? 0 : 1.4;
}

/** What an opening and its name take of the drawing. */
export function openingBoxes({ what, atMm }: PartModel['body']['openings'][number], view: BoardView): Box[] {
  const r = openingMm(what) * view.pxPerMm;
  if (r === 0) return [];
  const [x, y] = view.toPx(atMm);
  return [
    { x, y, w: 2 * r, h: 2 * r },
    { x, y: y + r + openingTextPx - 5, w: what.length * 8, h: 16 },
  ];
}

/** The shell around the pins of a connector, on the drawing. */
export function plugBox(model: PartModel, pins: readonly string[], view: BoardView): Box {
  const own = model.terminals.filter(({ id }) => pins.includes(id));
  const corners = own.flatMap(({ atMm, sizeMm }) => [
    view.toPx([atMm[0] - sizeMm[0] / 2 - shellMm, atMm[1] - sizeMm[1] / 2 - shellMm]),
    view.toPx([atMm[0] + sizeMm[0] / 2 + shellMm, atMm[1] + sizeMm[1] / 2 + shellMm]),
  ]);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { x: (left + right) / 2, y: (top + bottom) / 2, w: right - left, h: bottom - top };
}

function Plug({ box: { x, y, w, h } }: { box: Box }) {
  const theme = useTheme();
  return (
    <rect
      x={x - w / 2}
      y={y - h / 2}
      width={w}
      height={h}
      fill={theme.paper}
      stroke={theme.quiet}
      strokeWidth={1.4}
      strokeDasharray="4 3"
      rx={2}
    />
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
