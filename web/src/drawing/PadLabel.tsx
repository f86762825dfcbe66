/** The print of a pad, upright, inwards of its edge; on a plate outside the ring for the pad in question. */
import type { PartModel, Terminal } from '@junctor/core';
import { span } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { BoardView } from './view';
import { boardSize } from './boardSize';

interface PadLabelProps {
  terminal: Terminal;
  model: PartModel;
  view: BoardView;
  strength: 'ring' | 'near' | 'quiet' | 'small';
}

export function PadLabel({ terminal, model, view, strength }: PadLabelProps) {
  const theme = useTheme();
  const [w, h] = sizePx(terminal, view);
  if (strength === 'quiet' && Math.max(w, h) < 20) return null;
  if (strength === 'small' && terminal.form === 'pin' && Math.max(w, h) < 30) return null;
  const size = sizeOf(strength, w, h);
  const print = shownPrint(terminal.printed);
  const [tx, ty] = placeFor(terminal, model, view, { size, strength });
  if (tx < 0 || tx > boardSize.width || ty < 0 || ty > boardSize.height) return null;
  const plate = strength === 'ring' ? { w: print.length * size * 0.6 + 14, h: size + 8 } : null;
  return (
    <g pointerEvents="none">
      {plate && (
        <rect x={tx - plate.w / 2} y={ty - plate.h / 2} width={plate.w} height={plate.h} rx={4} fill={theme.ink} />
      )}
      <text
        x={tx}
        y={ty + size * 0.34}
        textAnchor="middle"
        fontSize={size}
        fontWeight={strength === 'quiet' || strength === 'small' ? 400 : 700}
        fill={plate ? theme.paper : theme.ink}
      >
        {print}
      </text>
    </g>
  );
}

function sizeOf(strength: 'small' | 'ring' | 'near' | 'quiet', w: number, h: number) {
  if (strength === 'ring') return 23;
  if (strength === 'near') return 18;
  if (strength === 'small') return 10.5;
  return Math.max(14, Math.min(20, Math.min(w, h) * 0.4));
}

/** A minus is drawn as wide as a plus. */
function shownPrint(print: string): string {
  return print.replace(/-$/, '−');
}

function sizePx({ sizeMm }: Terminal, view: BoardView): readonly [number, number] {
  return [sizeMm[0] * view.pxPerMm, sizeMm[1] * view.pxPerMm];
}

/**
 * Inwards of the pad, or to a side of it where that would cover another pad: a name must never stand on the wrong one.
 */
function placeFor(
  terminal: Terminal,
  model: PartModel,
  view: BoardView,
  { size, strength }: { size: number; strength: PadLabelProps['strength'] },
): readonly [number, number] {
  const [x, y] = view.toPx(terminal.atMm);
  const [w, h] = sizePx(terminal, view);
  // Outside the ring, or outside the line round a row of pads.
  const reach = (half: number) => (strength === 'ring' ? Math.hypot(w, h) / 2 + 18 : half + gapOf(strength));
  const wide = (terminal.printed.length * size * 0.6) / 2;
  const [inX, inY] = inwards(terminal, model, view);
  const [cx, cy] = view.toPx([0, 0]);
  const across: readonly [number, number] = inX !== 0 ? [0, Math.sign(cy - y) || 1] : [Math.sign(cx - x) || 1, 0];
  const spots = [[inX, inY] as const, across, [-across[0], -across[1]] as const].map(
    ([dx, dy]) => [x + dx * (reach(w / 2) + size * 0.4 + wide), y + dy * (reach(h / 2) + size * 0.62)] as const,
  );
  return spots.find((spot) => !covers({ at: spot, half: [wide + 5, size * 0.6] }, terminal, model, view)) ?? spots[0]!;
}

function gapOf(strength: PadLabelProps['strength']) {
  if (strength === 'near') return 13;
  if (strength === 'small') return 1;
  return 4;
}

function covers(
  { at: [sx, sy], half: [halfW, halfH] }: { at: readonly [number, number]; half: readonly [number, number] },
  own: Terminal,
  model: PartModel,
  view: BoardView,
): boolean {
  return model.terminals.some((other) => {
    if (other.id === own.id || other.form === 'tail' || !other.sides.some((side) => own.sides.includes(side)))
      return false;
    const [ox, oy] = view.toPx(other.atMm);
    const [w, h] = sizePx(other, view);
    return Math.abs(ox - sx) < halfW + w / 2 && Math.abs(oy - sy) < halfH + h / 2;
  });
}

/** From the nearest edge of the board towards its middle, on the screen. */
export function inwards({ atMm }: Terminal, model: PartModel, view: BoardView): readonly [number, number] {
  const [spanX, spanY] = span(model);
  const [toSide, toEnd] = [spanX / 2 - Math.abs(atMm[0]), spanY / 2 - Math.abs(atMm[1])];
  const [cx, cy] = view.toPx([0, 0]);
  const [x, y] = view.toPx(atMm);
  if (toSide < toEnd) return [Math.sign(cx - x) || 1, 0];
  return [0, Math.sign(cy - y) || 1];
}
