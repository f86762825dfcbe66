/**
 * A board with everything wired to it, old and new: each pad's wire runs out to words that say where it leads and what
 * becomes of it.
 */
import type { WireBand } from '@junctor/core';
import { wireBand } from '@junctor/core';
import type { BoardWire, Leader, PartModel, Side, XY } from '@junctor/core';
import { edgeOf, exitsOf, placeLeaders, sidesOf, span, terminalOf } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { Marks } from './marks';
import { Pads } from './Pads';
import { boardView } from './view';
import { darkEdge, wireColour } from './wireColours';

/** How the drawing is shared out: the board in the middle, words on both sides. */
interface Sheet {
  width: number;
  height: number;
  board: number;
  words: number;
}

const wide: Sheet = { width: 1200, height: 372, board: 400, words: 330 };
const tall: Sheet = { width: 760, height: 720, board: 300, words: 200 };

const boardX = ({ width, board }: Sheet) => (width - board) / 2;

/** Where words may stand. */
function roomOf(sheet: Sheet) {
  const x = boardX(sheet);
  return { leftX: x - 14, rightX: x + sheet.board + 14, top: 12, bottom: sheet.height - 12, row: 25 };
}

const lanePx = 7;

interface WholeBoardProps {
  slot: string;
  model: PartModel;
  side: Side;
  marks: Marks;
  wires: readonly BoardWire[];
  /** The wire in question. */
  current: string | null;
  /** What stands beside a wire. */
  say: (wire: BoardWire) => string;
  onPick: (wire: BoardWire) => void;
  /** Higher than wide: an upright tablet. */
  isTall: boolean;
}

/** What both edges of a hollow wire take together. */
const hollowEdge = 2;
const widthPx: Readonly<Record<WireBand, number>> = { thick: 6, medium: 4.5, thin: 3.5 };

export function WholeBoard({ slot, model, side, marks, wires, current, say, onPick, isTall }: WholeBoardProps) {
  const size = isTall ? tall : wide;
  const room = roomOf(size);
  const at = wires.map(({ terminal }) => terminalOf(model, terminal)!);
  const lanes =
    Math.max(
      ...(['upper', 'lower'] as const).map((edge) => at.filter((terminal) => edgeOf(terminal, model) === edge).length),
      0,
    ) *
    lanePx *
    0.6;
  const whole = boardView(model, side, [], { widthPx: size.board, heightPx: size.height - 2 * lanes });
  const view = { ...whole, toPx: (mm: XY): XY => [whole.toPx(mm)[0] + boardX(size), whole.toPx(mm)[1] + lanes] };
  const pads = at.map(({ atMm }) => view.toPx(atMm));
  const sides = sidesOf(pads, room);
  const reach = span(model)[1] / 2;
  const exits = exitsOf(
    pads,
    at.map((terminal) => edgeOf(terminal, model)),
    sides,
    { upperY: view.toPx([0, reach])[1], lowerY: view.toPx([0, -reach])[1], lane: lanePx },
  );
  const leaders = placeLeaders(exits, sides, room);
  const order = wires
    .map((_, index) => index)
    .sort((a, b) => Number(wires[a]!.joint === current) - Number(wires[b]!.joint === current));
  return (
    <svg
      width="100%"
      height="100%"
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="group"
      aria-label={`${slot} with its wires`}
      data-board={slot}
    >
      <Pads slot={slot} model={model} side={side} view={view} marks={marks} />
      {order.map((index) => (
        <Line
          key={`${wires[index]!.joint} ${wires[index]!.becomes}`}
          wire={wires[index]!}
          pad={pads[index]!}
          exit={exits[index]!}
          leader={leaders[index]!}
          now={wires[index]!.joint === current}
          words={say(wires[index]!)}
          onPick={onPick}
          sheet={size}
        />
      ))}
    </svg>
  );
}

function Line({
  wire,
  pad,
  exit,
  leader,
  now,
  words,
  onPick,
  sheet: size,
}: {
  wire: BoardWire;
  pad: XY;
  exit: XY;
  leader: Leader;
  now: boolean;
  words: string;
  onPick: (wire: BoardWire) => void;
  sheet: Sheet;
}) {
  const theme = useTheme();
  const room = roomOf(size);
  const left = leader.side === 'left';
  const out = left ? -1 : 1;
  const [bendX, endX] = [left ? room.leftX : room.rightX, left ? size.words + 10 : size.width - size.words - 10];
  const textX = endX + out * 8;
  return (
    <g data-joint={wire.joint} data-becomes={wire.becomes} onClick={() => onPick(wire)} cursor="pointer">
      <rect x={left ? 0 : textX - 4} y={leader.y - 12} width={size.words + 4} height={24} fill="transparent" />
      <Run
        wire={wire}
        from={
          exit[1] === pad[1] ? [pad] : [pad, exit, [exit[0] + out * Math.min(20, Math.abs(bendX - exit[0])), exit[1]]]
        }
        bend={[bendX, leader.y]}
        end={[endX, leader.y]}
      />
      {now && (
        <g fill="none" stroke={theme.bronze}>
          <circle cx={pad[0]} cy={pad[1]} r={11} strokeWidth={3.5} />
          <circle cx={pad[0]} cy={pad[1]} r={16} strokeWidth={1.6} />
        </g>
      )}
      {now && <path d={`M${textX + out * (size.words - 8)} ${leader.y - 6}v12l${-out * 9} -6z`} fill={theme.bronze} />}
      <text
        x={textX}
        y={leader.y + 5}
        textAnchor={left ? 'end' : 'start'}
        fontSize={17}
        fontWeight={now ? 700 : 400}
        fill={theme.ink}
      >
        {words}
      </text>
    </g>
  );
}

/**
 * State by form: hollow while planned, filled when landed, two strokes across what comes off, a stub with two whiskers
 * once it is off.
 */
function Run({
  wire: { wire, becomes, done },
  from,
  bend,
  end,
}: {
  wire: BoardWire;
  from: readonly XY[];
  bend: XY;
  end: XY;
}) {
  const theme = useTheme();
  const { fill, light } = wireColour(wire.colour);
  const width = widthPx[wireBand(wire.awg)];
  const edge = light ? darkEdge : theme.ink;
  const path = `M${[...from, bend, end].map((point) => point.join(' ')).join('L')}`;
  const out = Math.sign(end[0] - bend[0]);
  if (becomes === 'comes off' && done) {
    return (
      <g fill="none" stroke={edge}>
        <path d={`M${end.join(' ')}h${-out * 26}`} stroke={edge} strokeWidth={width + 2} />
        <path d={`M${end[0] - out * 2} ${end[1]}h${-out * 23}`} stroke={fill} strokeWidth={width} />
        <path d={`M${end[0] - out * 26} ${end[1]}l${-out * 9} -5m${out * 9} 5l${-out * 9} 5`} strokeWidth={1.6} />
      </g>
    );
  }
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={path} stroke={edge} strokeWidth={width + 2.5} />
      <path d={path} stroke={fill} strokeWidth={width} />
      {becomes === 'goes on' && !done && <path d={path} stroke={theme.paper} strokeWidth={width - hollowEdge} />}
      {becomes === 'comes off' && (
        <path d={`M${end[0] - out * 20} ${end[1] + 9}l8 -18m3 18l8 -18`} stroke={theme.ink} strokeWidth={2.4} />
      )}
    </g>
  );
}
