/** A stack from the side, as it is squeezed: screws, soft mounts, boards with what stands on them, nuts. */
import type { Laid, StackLayer } from '@junctor/core';
import { areaOf, levelsOf, outlineOf, standingOn, tenths } from '@junctor/core';
import { useTheme } from 'styled-components';
import type { View } from './SideView';
import { Bar, Tag } from './SideView';

const linePx = 17;

export interface Shown {
  laid: Laid;
  /** Parts that the margin looked at is about. */
  held: readonly string[];
}

export function StackFromTheSide({ laid, held, view, isNear }: Shown & { view: View; isNear: boolean }) {
  const theme = useTheme();
  if (!laid.stack) return null;
  const { place, stack } = laid.stack;
  const [, middle, floor] = place.atMm;
  const half = (place.holes?.patternMm[1] ?? 30) / 2;
  const levels = levelsOf(laid.stack);
  const screwMm = stack.screw.lengthMm;
  return (
    <g>
      {[-half, half].map((at) => (
        <g key={at} stroke={theme.ink} fill={theme.bare}>
          <Bar
            view={view}
            from={[middle + at - 1.4, 0]}
            to={[middle + at + 1.4, screwMm]}
            fill={theme.bare}
            stroke={theme.ink}
          />
          <Bar
            view={view}
            from={[middle + at - 2.9, -1.9]}
            to={[middle + at + 2.9, 0]}
            fill={theme.bare}
            stroke={theme.ink}
          />
        </g>
      ))}
      {isNear && (
        <Heights
          view={view}
          at={middle - half - 6}
          marks={[
            { name: 'plates', from: 0, to: floor },
            ...levels.map(({ layer, fromMm, toMm }) => ({ name: layerName(layer), from: fromMm, to: toMm })),
            { name: 'thread left', from: levels.at(-1)?.toMm ?? floor, to: screwMm },
          ]}
        />
      )}
      {levels.map(({ layer, fromMm, toMm }, index) => (
        <Layer key={index} laid={laid} layer={layer} from={fromMm} to={toMm} half={half} view={view} held={held} />
      ))}
    </g>
  );
}

function layerName(layer: StackLayer): string {
  if ('slot' in layer) return layer.slot;
  if ('grommet' in layer) return 'soft mount';
  return Object.keys(layer)[0]!;
}

interface HeightsProps {
  view: View;
  at: number;
  marks: readonly { name: string; from: number; to: number }[];
}

/** What is threaded on the rear screw, beside it, with its height. */
function Heights({ view, at, marks }: HeightsProps) {
  const theme = useTheme();
  // Thin things would have their names over each other.
  const lines: number[] = [];
  for (const { from, to } of marks) lines.push(Math.min(view.y((from + to) / 2), (lines.at(-1) ?? Infinity) - linePx));
  return (
    <g fontSize={15} fill={theme.ink}>
      {marks.map(({ name, from, to }, index) => (
        <text key={index} x={view.x(at) + 8} y={lines[index]! + 5}>
          {name} {tenths(to - from)}
        </text>
      ))}
    </g>
  );
}

interface LayerProps extends Shown {
  layer: StackLayer;
  from: number;
  to: number;
  half: number;
  view: View;
}

function Layer({ laid, layer, from, to, half, view, held }: LayerProps) {
  const theme = useTheme();
  const middle = laid.stack!.place.atMm[1];
  if (!('slot' in layer)) {
    const wide = 'nut' in layer ? 2.9 : 3.4;
    const fill = 'grommet' in layer ? 'url(#squeezed)' : theme.bare;
    return (
      <>
        {[-half, half].map((at) => (
          <Bar
            key={at}
            view={view}
            from={[middle + at - wide, from]}
            to={[middle + at + wide, to]}
            fill={fill}
            stroke={theme.ink}
          />
        ))}
      </>
    );
  }
  const { slot } = layer;
  const model = laid.assembly.model(slot)!;
  const pose = laid.poses.get(slot)!;
  const { rear, front } = outlineOf(model, pose);
  const isHeld = held.includes(slot);
  const boxes = (['above', 'below'] as const).flatMap((face) =>
    standingOn(model, face, pose).map((box) => ({ face, mm: box.mm, area: areaOf(box, pose) })),
  );
  return (
    <g>
      {boxes.map(({ face, mm, area }, index) => (
        <Bar
          key={index}
          view={view}
          from={[area.rear, face === 'above' ? to : from - mm]}
          to={[area.front, face === 'above' ? to + mm : from]}
          fill={theme.pad}
          stroke={theme.quiet}
        />
      ))}
      <Bar
        view={view}
        from={[rear, from]}
        to={[front, to]}
        fill={theme.board}
        stroke={isHeld ? theme.bronze : theme.ink}
        width={isHeld ? 3 : 1.5}
      />
      <Tag view={view} at={[front - 5, (from + to) / 2]} isHeld={isHeld}>
        {slot}
      </Tag>
    </g>
  );
}
