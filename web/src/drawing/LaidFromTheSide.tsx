/** A layout from the left, front to the left, to scale: plates, the stack as it is squeezed, lid, other parts. */
import type { Laid, XY } from '@junctor/core';
import { heightMm, levelsOf, lidPlate, roomMm } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { View } from './SideView';
import { Bar, Tag } from './SideView';
import type { Shown } from './StackFromTheSide';
import { StackFromTheSide } from './StackFromTheSide';

const [widePx, usualPx] = [480, 430];

interface LaidFromTheSideProps extends Shown {
  /** All of it, whatever is held. */
  whole?: boolean;
  /** How high the drawing is. */
  highPx?: number;
}

export function LaidFromTheSide({ laid, held, whole = false, highPx = usualPx }: LaidFromTheSideProps) {
  const theme = useTheme();
  const isStack =
    !whole && laid.stack !== null && held.every((slot) => laid.poses.get(slot)?.place === laid.stack!.place.id);
  const view = isStack ? viewOfStack(laid, highPx) : viewOf(laid, highPx);
  const { frame, poses, assembly, places } = laid;
  const lid = lidPlate(frame);
  const others = [...poses].filter(
    ([, { place }]) => places.has(place) && !['stack', 'arm'].includes(places.get(place)!.kind),
  );
  return (
    <svg viewBox={`0 0 ${widePx} ${highPx}`} width="100%" height="100%" role="img" aria-label={wordsFor(laid)}>
      <defs>
        <pattern id="squeezed" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.5" height="5" fill={theme.quiet} />
        </pattern>
      </defs>
      {frame.plates?.map(({ id, zMm, thicknessMm, outlineMm }) => {
        const ys = outlineMm.map(([, y]) => y);
        return (
          <Bar
            key={id}
            view={view}
            from={[Math.min(...ys), zMm]}
            to={[Math.max(...ys), zMm + thicknessMm]}
            fill={theme.shell}
            stroke={theme.ink}
          />
        );
      })}
      {(isStack ? [] : others).map(([slot, pose]) => {
        const model = assembly.model(slot)!;
        const [, along, high] = roomMm(model, pose);
        const [, middle, up] = pose.atMm;
        const [rear, front] = [middle - along / 2, middle + along / 2];
        const isHeld = held.includes(slot);
        return (
          <g key={slot}>
            <Bar
              view={view}
              from={[rear, up]}
              to={[front, up + high]}
              fill={theme.board}
              stroke={isHeld ? theme.bronze : theme.ink}
              width={isHeld ? 3 : 1.3}
            />
            <Tag view={view} at={[(rear + front) / 2, up + high / 2]} isHeld={isHeld}>
              {slot}
            </Tag>
          </g>
        );
      })}
      <StackFromTheSide laid={laid} held={held} view={view} isNear={isStack} />
      {lid && frame.lid && (
        <path
          d={`M0 ${view.y(lid.zMm - frame.lid.settlesMm[1])}H${widePx}`}
          stroke={theme.bronze}
          strokeDasharray="7 5"
          strokeWidth={1.5}
        />
      )}
      <path d="M6 16l16 -9v18z" fill={theme.ink} />
      <text x={28} y={21} fontSize={15} fill={theme.ink}>
        front
      </text>
    </svg>
  );
}

/** So that the squeeze is seen: the stack and as much of the lid as lies over it. */
function viewOfStack(laid: Laid, highPx: number): View {
  const { place } = laid.stack!;
  const { frame } = laid;
  const [, middle, floor] = place.atMm;
  const top = (levelsOf(laid.stack!).at(-1)?.toMm ?? floor) + 6;
  const lid = lidPlate(frame);
  const high = lid ? Math.max(top, lid.zMm + lid.thicknessMm + 2) : top;
  return fitted([middle - 36, middle + 30], [-6, high], highPx);
}

function viewOf({ frame, poses, assembly, places }: Laid, highPx: number): View {
  const tops = [...poses]
    .filter(([, { place }]) => places.has(place))
    .map(([slot, pose]) => pose.atMm[2] + heightMm(assembly.model(slot)!));
  const plates = frame.plates ?? [];
  const ys = plates.flatMap(({ outlineMm }) => outlineMm.map(([, y]) => y));
  const [rear, front] = [Math.min(-40, ...ys) - 14, Math.max(40, ...ys) + 8];
  const [low, high] = [-6, Math.max(30, ...tops, ...plates.map(({ zMm, thicknessMm }) => zMm + thicknessMm)) + 4];
  return fitted([rear, front], [low, high], highPx);
}

function fitted([rear, front]: XY, [low, high]: XY, highPx: number): View {
  const scale = Math.min(widePx / (front - rear), (highPx - 40) / (high - low));
  const [middle, bottom] = [(front + rear) / 2, highPx / 2 + ((high - low) * scale) / 2 + 10];
  return {
    scale,
    x: (forwardMm) => widePx / 2 - (forwardMm - middle) * scale,
    y: (upMm) => bottom - (upMm - low) * scale,
  };
}

function wordsFor({ stack }: Laid): string {
  if (!stack) return 'from the side: no stack';
  const layers = stack.stack.layers.map((layer) => {
    if ('slot' in layer) return layer.slot;
    if ('grommet' in layer) return `${layer.grommet} squeezed to ${layer.squeezedMm} mm`;
    return `${Object.values(layer)[0]} ${layer.mm} mm`;
  });
  return `from the left side, from below: ${layers.join(', ')}; screws ${stack.stack.screw.thread} x ${stack.stack.screw.lengthMm}`;
}
