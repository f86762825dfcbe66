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
      {namesApart(shown.map(({ id, atMm }) => ({ id, at: at([atMm[0], atMm[1]]) }))).map(({ id, at: there }) => (
        <NameTag key={id} at={there} isHeld={false}>
          {id}
        </NameTag>
      ))}
    </g>
  );
}

const [nameWidePx, nameHighPx] = [70, 22];

/** Each name where its place is, or so far under it that no other one covers it. */
function namesApart(names: readonly { id: string; at: XY }[]): { id: string; at: XY }[] {
  return names.reduce<{ id: string; at: XY }[]>((before, { id, at: [x, y] }) => {
    const isTaken = (there: number) =>
      before.some(({ at: other }) => Math.abs(other[0] - x) < nameWidePx && Math.abs(other[1] - there) < nameHighPx);
    let there = y;
    while (isTaken(there)) there += nameHighPx;
    return [...before, { id, at: [x, there] }];
  }, []);
}

export function roomOf({ atMm: [x, y], roomMm: [wide, long] }: Place) {
  return { left: x - wide / 2, right: x + wide / 2, rear: y - long / 2, front: y + long / 2 };
}
