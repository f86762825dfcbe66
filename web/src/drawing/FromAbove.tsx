/**
 * The aircraft from above, front up, to scale: arms, propeller discs with their senses, boards as they lie, and the
 * leads of each motor from its channel.
 */
import type { Build, Catalogue, MotorPlace, XY } from '@junctor/core';
import { lying, placeOf, pointOf, terminalRef, assemble } from '@junctor/core';
import { useTheme } from 'styled-components';

const size = 400;
/** Above, the front mark; below, the words of the rear corners. */
const [topPx, bottomPx] = [34, 20];

type Place = (atMm: readonly [number, number, ...unknown[]]) => XY;

interface FromAboveProps {
  motors: readonly MotorPlace[];
  current: MotorPlace | null;
  build: Build;
  catalogue: Catalogue;
}

export function FromAbove({ motors, current, build, catalogue }: FromAboveProps) {
  const theme = useTheme();
  const discMm = Math.max(
    60,
    ...Object.keys(build.slots).flatMap(
      (slot) =>
        assemble(build, catalogue)
          .model(slot)!
          .frame?.corners.map((corner) => corner.discMm) ?? [],
    ),
  );
  const reach =
    Math.max(60, ...motors.map(({ atMm }) => (atMm ? Math.max(Math.abs(atMm[0]), Math.abs(atMm[1])) : 0))) + discMm / 2;
  const scale = (size - topPx - bottomPx) / (2 * reach);
  const place: Place = ([x, y]) => [size / 2 + x * scale, topPx + (size - topPx - bottomPx) / 2 - y * scale];
  const boards = Object.keys(build.slots).filter((slot) =>
    ['esc', 'controller', 'single board'].includes(assemble(build, catalogue).model(slot)!.kind),
  );
  const placed = motors.filter(({ atMm }) => atMm);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={motors
        .map(({ corner, where, output, sense }) => `corner ${corner} ${where}, output ${output ?? 'none'}, ${sense}`)
        .join('; ')}
    >
      <path d={`M${size / 2} 4l11 20h-22z`} fill={theme.ink} />
      <text x={size / 2 + 18} y={20} fontSize={15} fill={theme.ink}>
        front
      </text>
      {placed
        .filter(({ level }) => level === 'upper')
        .map(({ slot, atMm }) => (
          <path
            key={slot}
            d={`M${place([0, 0]).join(' ')}L${place(atMm!).join(' ')}`}
            stroke={theme.edge}
            strokeWidth={Math.max(6, 14 * scale)}
            strokeLinecap="round"
          />
        ))}
      {placed.map((motor) => (
        <Disc
          key={motor.slot}
          motor={motor}
          at={place(motor.atMm!)}
          radius={Math.max(26, (discMm / 2) * scale) - (motor.level === 'lower' ? 7 : 0)}
        />
      ))}
      {boards.map((slot) => (
        <BoardFromAbove key={slot} slot={slot} build={build} catalogue={catalogue} place={place} />
      ))}
      {placed.map((motor) => (
        <LeadsFrom
          key={motor.slot}
          motor={motor}
          now={motor === current}
          build={build}
          catalogue={catalogue}
          place={place}
        />
      ))}
      {placed.map((motor) => (
        <Hub key={motor.slot} motor={motor} now={motor === current} at={place(motor.atMm!)} />
      ))}
    </svg>
  );
}

/**
 * The propeller's disc; the head on it shows where the blades go. The lower one of a pair is broken, its heads to the
 * sides.
 */
function Disc({ motor: { sense, level }, at: [x, y], radius }: { motor: MotorPlace; at: XY; radius: number }) {
  const theme = useTheme();
  const way = sense === 'clockwise' ? 1 : -1;
  const heads = [-1, 1].map(
    (side) =>
      `M${x + way * side * 9} ${y + side * radius - 8}L${x} ${y + side * radius}L${x + way * side * 9} ${y + side * radius + 8}`,
  );
  return (
    <g fill="none" stroke={theme.ink} strokeWidth={level === 'lower' ? 1.5 : 2}>
      <circle cx={x} cy={y} r={radius} strokeDasharray={level === 'lower' ? '5 5' : undefined} opacity={0.55} />
      <path d={heads.join('')} strokeWidth={2.5} transform={level === 'lower' ? `rotate(90 ${x} ${y})` : undefined} />
    </g>
  );
}

/** A board as it lies, with its printed arrow. */
function BoardFromAbove({
  slot,
  build,
  catalogue,
  place,
}: {
  slot: string;
  build: Build;
  catalogue: Catalogue;
  place: Place;
}) {
  const theme = useTheme();
  const { body } = assemble(build, catalogue).model(slot)!;
  const pose = placeOf(assemble(build, catalogue), slot);
  const lie = (at: XY): XY => place(lying(pose, at));
  const turn = ((body.arrowDeg ?? 0) * Math.PI) / 180;
  const along = (mm: number): XY => lie([Math.cos(turn) * mm, Math.sin(turn) * mm]);
  const [tail, tip, left, right] = [
    along(-8),
    along(8),
    lie([Math.cos(turn + 0.45) * 4, Math.sin(turn + 0.45) * 4]),
    lie([Math.cos(turn - 0.45) * 4, Math.sin(turn - 0.45) * 4]),
  ];
  return (
    <g fill={theme.board} stroke={theme.ink} strokeWidth={1.5}>
      <path d={`M${body.outlineMm.map((corner) => lie(corner).join(' ')).join('L')}Z`} />
      {body.arrowDeg !== null && (
        <path
          d={`M${tail.join(' ')}L${tip.join(' ')}M${left.join(' ')}L${tip.join(' ')}L${right.join(' ')}`}
          fill="none"
          stroke={theme.quiet}
        />
      )}
    </g>
  );
}

/** From the pads of the channel to the motor. */
function LeadsFrom({
  motor: { slot, channel, atMm },
  now,
  build,
  catalogue,
  place,
}: {
  motor: MotorPlace;
  now: boolean;
  build: Build;
  catalogue: Catalogue;
  place: Place;
}) {
  const theme = useTheme();
  if (!channel) return null;
  const pads = assemble(build, catalogue)
    .model(channel.slot)!
    .terminals.filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === channel.port));
  const end = place(atMm!);
  return (
    <g fill="none" stroke={now ? theme.bronze : theme.ink} strokeWidth={now ? 2.6 : 1.4}>
      {pads.map(({ id }) => (
        <path
          key={`${slot} ${id}`}
          d={`M${place(pointOf(assemble(build, catalogue), terminalRef(channel.slot, id))).join(' ')}L${end.join(' ')}`}
        />
      ))}
    </g>
  );
}

function Hub({ motor: { corner, level, output }, now, at: [x, y] }: { motor: MotorPlace; now: boolean; at: XY }) {
  const theme = useTheme();
  const at = level === 'lower' ? y + 24 : y;
  return (
    <g stroke="none" fill={theme.ink} fontSize={15}>
      <circle
        cx={x}
        cy={at}
        r={15}
        fill={theme.paper}
        stroke={now ? theme.bronze : theme.ink}
        strokeWidth={now ? 4 : 2}
      />
      <text x={x} y={at + 6} textAnchor="middle" fontSize={17} fontWeight={700}>
        {corner}
      </text>
      <text x={x + (x < size / 2 ? -20 : 20)} y={at + 5} textAnchor={x < size / 2 ? 'end' : 'start'}>
        {output === null ? 'no output' : `output ${output}`}
      </text>
    </g>
  );
}
