/** Places of a frame from above: where something can be, with its name. */
import type { Laid, XY } from '@junctor/core';
import { useTheme } from 'styled-components';
import { NameTag } from './NameTag';

type Place = Laid['places'] extends ReadonlyMap<string, infer P> ? P : never;

interface FramePlacesProps {
  places: readonly Place[];
  at: (point: XY) => XY;
}

export function FramePlaces({ places, at }: FramePlacesProps) {
  const theme = useTheme();
  const shown = places.filter(({ kind }) => kind !== 'arm');
  return (
    <g>
      {shown.map((place) => {
        const { left, right, rear, front } = roomOf(place);
        const [x, y] = at([left, front]);
        const [endX, endY] = at([right, rear]);
        return (
          <rect
            key={place.id}
            x={x}
            y={y}
            width={endX - x}
            height={endY - y}
            fill={place.kind === 'lid' ? 'none' : theme.board}
            fillOpacity={0.6}
            stroke={theme.ink}
            strokeDasharray={place.kind === 'lid' ? '5 4' : undefined}
          />
        );
      })}
      {shown.map((place) => (
        <NameTag key={place.id} at={nameAt(place, at)} isHeld={false}>
          {place.id}
        </NameTag>
      ))}
    </g>
  );
}

/** Of what is over another place at its edge, so that both can be read. */
function nameAt(place: Place, at: (point: XY) => XY): XY {
  const { rear } = roomOf(place);
  return at([place.atMm[0], place.kind === 'lid' ? rear : place.atMm[1]]);
}

export function roomOf({ atMm: [x, y], roomMm: [wide, long] }: Place) {
  return { left: x - wide / 2, right: x + wide / 2, rear: y - long / 2, front: y + long / 2 };
}
