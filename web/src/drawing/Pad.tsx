/** One pad with its state by form: outline, drop, cut corner, bar, wavy edge, hatch. */
import type { Terminal } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { TerminalMark } from './marks';
import type { BoardView } from './view';
import { wireColour } from './wireColours';

interface PadProps {
  terminal: Terminal;
  view: BoardView;
  mark: TerminalMark;
  ghost: boolean;
  onPick?: ((terminal: Terminal) => void) | undefined;
}

export function Pad({ terminal, view, mark, ghost, onPick }: PadProps) {
  const theme = useTheme();
  const [x, y] = view.toPx(terminal.atMm);
  const [w, h] = [terminal.sizeMm[0] * view.pxPerMm, terminal.sizeMm[1] * view.pxPerMm];
  const landed = mark.landed > 0;
  const fillOf = () => {
    if (terminal.form === 'shell') return theme.shell;
    if (landed) return theme.padDone;
    return theme.pad;
  };
  const fill = fillOf();
  return (
    <g
      data-terminal={terminal.id}
      data-landed={mark.landed}
      onClick={onPick && (() => onPick(terminal))}
      cursor={onPick ? 'pointer' : undefined}
    >
      <rect
        x={x - w / 2}
        y={y - h / 2}
        width={w}
        height={h}
        rx={2}
        fill={fill}
        stroke={theme.ink}
        strokeWidth={mark.planned > 0 ? 2 : 0.8}
      />
      {ghost && <Hatch x={x} y={y} w={w} h={h} />}
      {landed && <Drop x={x} y={y} w={w} h={h} mark={mark} />}
      {mark.hidden && <Hatch x={x} y={y} w={w} h={h} />}
    </g>
  );
}

function Drop({ x, y, w, h, mark }: { x: number; y: number; w: number; h: number; mark: TerminalMark }) {
  const theme = useTheme();
  const [rx, ry] = [w * 0.3, h * 0.36];
  const wire = wireColour(mark.colour ?? 'grey');
  return (
    <g>
      <ellipse
        cx={x}
        cy={y}
        rx={rx}
        ry={ry}
        fill={theme.solder}
        stroke={theme.ink}
        strokeWidth={1.2}
        strokeDasharray={mark.stale ? '3 3' : undefined}
      />
      <circle cx={x} cy={y} r={Math.min(rx, ry) * 0.5} fill={wire.fill} stroke={theme.ink} strokeWidth={1} />
      {mark.looked && (
        <path
          d={`M${x + rx * 0.1} ${y - ry * 1.25}h${rx * 1.2}v${ry * 1.2}z`}
          fill={theme.padDone}
          stroke={theme.ink}
          strokeWidth={1}
        />
      )}
      {mark.proved && <path d={`M${x - w * 0.42} ${y}h${w * 0.84}`} stroke={theme.ink} strokeWidth={3} />}
      {mark.differs && <Hatch x={x} y={y} w={w} h={h} />}
    </g>
  );
}

function Hatch({ x, y, w, h }: { x: number; y: number; w: number; h: number }) {
  const theme = useTheme();
  const lines = [0.2, 0.5, 0.8]
    .map((part) => `M${x - w / 2 + w * part - h / 3} ${y + h / 2}L${x - w / 2 + w * part + h / 3} ${y - h / 2}`)
    .join('');
  return <path d={lines} stroke={theme.ink} strokeWidth={1.2} fill="none" />;
}
