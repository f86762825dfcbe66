/** The print of a pad, upright, inwards of its edge; on a plate outside the ring for the pad in question. */
import type { PartModel, Terminal } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { BoardView } from './view';
import { boardSize } from './boardSize';
import { span } from './view';

interface PadLabelProps {
  terminal: Terminal;
  model: PartModel;
  view: BoardView;
  strength: 'ring' | 'near' | 'quiet';
}

export function PadLabel({ terminal, model, view, strength }: PadLabelProps) {
  const theme = useTheme();
  const [x, y] = view.toPx(terminal.atMm);
  const [w, h] = [terminal.sizeMm[0] * view.pxPerMm, terminal.sizeMm[1] * view.pxPerMm];
  const crowded = strength === 'quiet' && Math.max(w, h) < 20;
  if (crowded) return null;
  const size = strength === 'ring' ? 23 : strength === 'near' ? 18 : 14;
  const [dx, dy] = inwards(terminal, model, view);
  const gap = (strength === 'ring' ? 20 : 4) + size * 0.62;
  const tx = x + dx * (w / 2 + gap + (dx !== 0 ? terminal.printed.length * size * 0.26 : 0));
  const ty = y + dy * (h / 2 + gap);
  if (tx < 0 || tx > boardSize.width || ty < 0 || ty > boardSize.height) return null;
  const plate = strength === 'ring' ? { w: terminal.printed.length * size * 0.6 + 14, h: size + 8 } : null;
  return (
    <g pointerEvents="none">
      {plate && <rect x={tx - plate.w / 2} y={ty - plate.h / 2} width={plate.w} height={plate.h} rx={4} fill={theme.ink} />}
      <text x={tx} y={ty + size * 0.34} textAnchor="middle" fontSize={size} fontWeight={strength === 'quiet' ? 400 : 700} fill={plate ? theme.paper : theme.ink}>
        {terminal.printed}
      </text>
    </g>
  );
}

/** From the nearest edge of the board towards its middle, on the screen. */
function inwards({ atMm }: Terminal, model: PartModel, view: BoardView): readonly [number, number] {
  const [spanX, spanY] = span(model);
  const [toSide, toEnd] = [spanX / 2 - Math.abs(atMm[0]), spanY / 2 - Math.abs(atMm[1])];
  const [cx, cy] = view.toPx([0, 0]);
  const [x, y] = view.toPx(atMm);
  if (toSide < toEnd) return [Math.sign(cx - x) || 1, 0];
  return [0, Math.sign(cy - y) || 1];
}
