/** What is in question: a ring round a pad, a line round a row of them, a fine ring round the other probe's. */
import type { Terminal } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { BoardView } from './view';

/** `other`: not this hand’s own, but the other probe’s. */
export function Ring({ terminal, view, other = false }: { terminal: Terminal; view: BoardView; other?: boolean }) {
  const theme = useTheme();
  const [x, y] = view.toPx(terminal.atMm);
  const r = (Math.hypot(...terminal.sizeMm) / 2) * view.pxPerMm + 7;
  return (
    <g fill="none" stroke={theme.bronze} pointerEvents="none">
      {!other && <circle cx={x} cy={y} r={r} strokeWidth={4} />}
      <circle
        cx={x}
        cy={y}
        r={r + (other ? 0 : 7)}
        strokeWidth={other ? 2.6 : 1.8}
        strokeDasharray={other ? '6 4' : undefined}
      />
    </g>
  );
}

/** A row of pads in question: one line round them all. */
export function RingAround({ terminals, view }: { terminals: readonly Terminal[]; view: BoardView }) {
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
