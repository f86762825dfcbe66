/** A board with a ring and the numbers of the touches at every place that a list of touches goes to. */
import type { PartModel, Side, TerminalRef } from '@junctor/core';
import { terminalRef } from '@junctor/core';
import { useTheme } from 'styled-components';
import { boardObstacles, inwards, padBox, shownOn, shownPrint } from './boardLabels';
import { boardSize } from './boardSize';
import type { Box, LabelWish } from './labels';
import { placeLabels } from './labels';
import type { Marks } from './marks';
import { Pads } from './Pads';
import { boardView } from './view';

interface TouchMapProps {
  slot: string;
  model: PartModel;
  side: Side;
  marks: Marks;
  /** The numbers of the touches at each terminal, in order. */
  numbers: ReadonlyMap<TerminalRef, readonly number[]>;
}

/** More numbers than this at one place are not written beside it: the list has them. */
const mostNumbers = 4;

export function TouchMap({ slot, model, side, marks, numbers }: TouchMapProps) {
  const theme = useTheme();
  const { width, height } = boardSize;
  const view = boardView(model, side, [], { widthPx: width, heightPx: height });
  const shown = shownOn(model, side);
  const numbersOf = (id: string) => numbers.get(terminalRef(slot, id)) ?? [];
  const touched = shown.filter(({ id }) => numbersOf(id).length > 0);
  const wishes = touched.map((terminal): LabelWish => ({
    id: terminal.id,
    text: badge(terminal.printed, numbersOf(terminal.id)),
    size: 12,
    of: ringBox(padBox(terminal, view)),
    gap: 2,
    towards: inwards(terminal, model, view),
    plate: false,
    reach: 124,
  }));
  const obstacles = [
    ...boardObstacles(model, side, view),
    ...touched.map((terminal) => ringBox(padBox(terminal, view))),
  ];
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${slot}, ${side} up: ${touched.map(({ id, printed }) => `${printed} at ${numbersOf(id).join(', ')}`).join('; ')}`}
    >
      <Pads slot={slot} model={model} side={side} view={view} marks={marks} />
      {touched.map((terminal) => (
        <Marked key={terminal.id} box={padBox(terminal, view)} />
      ))}
      {placeLabels(wishes, obstacles, boardSize).map(({ id, at, text, size, line }) => (
        <g key={id}>
          {line && <path d={`M${line[0].join(' ')}L${line[1].join(' ')}`} stroke={theme.quiet} strokeWidth={1} />}
          <text x={at.x} y={at.y + size * 0.34} textAnchor="middle" fontSize={size} fontWeight={700} fill={theme.ink}>
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Air between a pad and the line round it. */
const ringPx = 3;

function ringBox({ w, h, ...at }: Box): Box {
  return { ...at, w: w + 2 * ringPx, h: h + 2 * ringPx };
}

/** A fine line close round a pad: pads beside each other keep theirs apart. */
function Marked({ box }: { box: Box }) {
  const theme = useTheme();
  const { x, y, w, h } = ringBox(box);
  return (
    <rect
      x={x - w / 2}
      y={y - h / 2}
      width={w}
      height={h}
      rx={ringPx}
      fill="none"
      stroke={theme.bronze}
      strokeWidth={2}
    />
  );
}

/** "B4: 3 17"; of many numbers the first. */
function badge(printed: string, numbers: readonly number[]): string {
  const few = numbers.slice(0, mostNumbers).join(' ');
  return `${shownPrint(printed)}: ${few}${numbers.length > mostNumbers ? ' …' : ''}`;
}
