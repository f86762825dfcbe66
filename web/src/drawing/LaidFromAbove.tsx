/** A layout from above, front up, to scale: plates, parts as they lie, ways of the wires, openings, blades' reach. */
import type { Laid, Pose, XY, XYZ } from '@junctor/core';
import { cableWays, lying, outlineOf, routeBetween, runsBetween } from '@junctor/core';
import { useTheme } from 'styled-components';
import { FramePlaces, roomOf } from './FramePlaces';
import { NameTag } from './NameTag';

const [widePx, usualPx, marginMm] = [480, 430, 12];

interface LaidFromAboveProps {
  laid: Laid;
  /** Parts that the margin looked at is about. */
  held: readonly string[];
  /** Of a frame that is being entered. */
  showPlaces?: boolean;
  /** How high the drawing is. */
  highPx?: number;
}

type OnSheet = (at: readonly [number, number, ...unknown[]]) => XY;

export function LaidFromAbove({ laid, held, showPlaces = false, highPx = usualPx }: LaidFromAboveProps) {
  const theme = useTheme();
  const { frame, poses, assembly } = laid;
  const drawn = [...poses].filter(([slot]) => !['motor', 'cable'].includes(assembly.model(slot)!.kind));
  const { scale, place } = view(laid, drawn, { showPlaces, highPx });
  const isHeld = (slot: string) => held.includes(slot);
  return (
    <svg viewBox={`0 0 ${widePx} ${highPx}`} width="100%" height="100%" role="img" aria-label={wordsFor(drawn)}>
      {frame.corners
        .filter(({ level }) => level === 'upper')
        .map(({ index, atMm, discMm }) => {
          const [x, y] = place(atMm);
          return (
            <g key={index} fill="none" stroke={theme.quiet}>
              <path d={`M${place([0, 0]).join(' ')}L${x} ${y}`} stroke={theme.edge} strokeWidth={16 * scale} />
              <circle cx={x} cy={y} r={(discMm / 2) * scale} strokeDasharray="6 6" />
            </g>
          );
        })}
      {frame.plates?.slice(0, 1).map(({ id, outlineMm }) => (
        <path key={id} d={closed(outlineMm.map(place))} fill={theme.ground} stroke={theme.ink} strokeWidth={2} />
      ))}
      {(frame.ways ?? [])
        .filter(({ passes, facing }) => passes === 'usb' && facing[2] === 0)
        .map(({ id, atMm, sizeMm: [wide], facing }) => (
          <path
            key={id}
            d={`M${place([atMm[0] - (facing[1] * wide) / 2, atMm[1] - (facing[0] * wide) / 2]).join(' ')}L${place([atMm[0] + (facing[1] * wide) / 2, atMm[1] + (facing[0] * wide) / 2]).join(' ')}`}
            stroke={theme.paper}
            strokeWidth={6}
          />
        ))}
      {showPlaces && <FramePlaces places={[...laid.places.values()]} at={place} />}
      <Wires laid={laid} place={place} isHeld={isHeld} />
      {drawn.map(([slot, pose]) => (
        <Part key={slot} laid={laid} slot={slot} pose={pose} isHeld={isHeld(slot)} place={place} />
      ))}
      {drawn.map(([slot, pose]) => (
        <NameTag key={slot} at={nameAt(place(pose.atMm), slotsUnder(drawn, slot, pose))} isHeld={isHeld(slot)}>
          {slot}
        </NameTag>
      ))}
      <path d={`M${widePx - 34} 6l9 16h-18z`} fill={theme.ink} />
      <text x={widePx - 34} y={38} fontSize={15} textAnchor="middle" fill={theme.ink}>
        front
      </text>
    </svg>
  );
}

/** So that all parts and the lowest plate are seen. */
function view(
  { frame, assembly, places }: Laid,
  drawn: readonly (readonly [string, Pose])[],
  { showPlaces, highPx }: { showPlaces: boolean; highPx: number },
) {
  const rooms = showPlaces ? [...places.values()].filter(({ kind }) => kind !== 'arm').map(roomOf) : [];
  const areas = [...rooms, ...drawn.map(([slot, pose]) => outlineOf(assembly.model(slot)!, pose))];
  const plate = frame.plates?.[0]?.outlineMm ?? [];
  const xs = [...areas.flatMap(({ left, right }) => [left, right]), ...plate.map(([x]) => x)];
  const ys = [...areas.flatMap(({ rear, front }) => [rear, front]), ...plate.map(([, y]) => y)];
  const [left, right, rear, front] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(widePx / (right - left + 2 * marginMm), highPx / (front - rear + 2 * marginMm));
  const [middleX, middleY] = [(left + right) / 2, (rear + front) / 2];
  const place: OnSheet = ([x, y]) => [widePx / 2 + (x - middleX) * scale, highPx / 2 - (y - middleY) * scale];
  return { scale, place };
}

function wordsFor(drawn: readonly (readonly [string, Pose])[]): string {
  return `from above: ${drawn.map(([slot, { place, yawDeg }]) => `${slot} in ${place}, turned ${yawDeg} degrees`).join('; ')}`;
}

interface PartProps {
  laid: Laid;
  slot: string;
  pose: Pose;
  isHeld: boolean;
  place: OnSheet;
}

function Part({ laid, slot, pose, isHeld, place }: PartProps) {
  const theme = useTheme();
  const { body } = laid.assembly.model(slot)!;
  const at = (point: XY) => place(lying(pose, point));
  const arrow = body.arrowDeg === null ? null : (body.arrowDeg * Math.PI) / 180;
  const tip = (mm: number, aside: number): XY => at([Math.cos(arrow! + aside) * mm, Math.sin(arrow! + aside) * mm]);
  return (
    <g fill={theme.board} fillOpacity={0.86} stroke={isHeld ? theme.bronze : theme.ink} strokeWidth={isHeld ? 3 : 1.3}>
      <path d={closed(body.outlineMm.map(at))} />
      {body.openings
        .filter(({ what }) => what === 'usb')
        .map(({ atMm }) => (
          <path
            key={atMm.join(' ')}
            d={closed(
              (
                [
                  [-4, -4],
                  [4, -4],
                  [4, 4],
                  [-4, 4],
                ] as const
              ).map(([dx, dy]) => at([atMm[0] + dx, atMm[1] + dy])),
            )}
            fill={theme.shell}
            strokeWidth={1}
          />
        ))}
      {arrow !== null && (
        <path
          d={`M${tip(13, 0).join(' ')}L${tip(9, 0.35).join(' ')}L${tip(9, -0.35).join(' ')}Z`}
          fill={theme.ink}
          stroke="none"
        />
      )}
    </g>
  );
}

const nameAt = ([x, y]: XY, under: number): XY => [x, y + 22 * under];

/** Boards over each other have their names one below the other. */
function slotsUnder(drawn: readonly (readonly [string, Pose])[], slot: string, pose: Pose): number {
  const here = drawn.filter(([, other]) => Math.hypot(other.atMm[0] - pose.atMm[0], other.atMm[1] - pose.atMm[1]) < 8);
  return here.findIndex(([name]) => name === slot);
}

function Wires({ laid, place, isHeld }: { laid: Laid; place: OnSheet; isHeld: (slot: string) => boolean }) {
  const theme = useTheme();
  const wires = runsBetween(laid).map(({ wire, ends, slots }) => {
    return { id: wire.id, points: routeBetween(laid, ...ends).points, slots, wide: 1 };
  });
  const cables = cableWays(laid).map(({ slot, slots, points }) => ({ id: `${slot} cable`, points, slots, wide: 2 }));
  return (
    <g fill="none" strokeLinejoin="round">
      {[...wires, ...cables].map(({ id, points, slots, wide }) => {
        const held = slots.some(isHeld);
        return (
          <path
            key={id}
            d={open(points.map((point: XYZ) => place(point)))}
            stroke={held ? theme.bronze : theme.strand}
            strokeWidth={held ? wide + 0.8 : wide}
            opacity={held ? 1 : 0.6}
          />
        );
      })}
    </g>
  );
}

const open = (points: readonly XY[]) => `M${points.map((point) => point.join(' ')).join('L')}`;
const closed = (points: readonly XY[]) => `${open(points)}Z`;
