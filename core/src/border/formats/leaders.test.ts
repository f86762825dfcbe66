/** Lines from pads to their words: in the room, apart, and never crossing. */
import type { XY } from '../../facts/terms/names';
import { describe, expect, it } from 'vitest';
import { exitsOf, placeLeaders, sidesOf } from './leaders';
import { segmentsCross } from '../../physics/geometry/crossings';

const room = { leftX: 100, rightX: 500, top: 10, bottom: 350, row: 24 };

/** Numbers from 0 to 1 that are the same each time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

describe('lines from pads to their words', () => {
  it.each([1, 2, 5, 14, 22, 30, 41])('%d pads, anywhere on the board', (count) => {
    const next = seeded(count);
    const pads = Array.from({ length: count }, (): XY => [110 + 380 * next(), 20 + 320 * next()]);
    const placed = placeLeaders(pads, sidesOf(pads, room), room);
    const end = (index: number): XY => [placed[index]!.side === 'left' ? room.leftX : room.rightX, placed[index]!.y];
    expect(placed).toHaveLength(count);
    for (const [i, { side, y }] of placed.entries()) {
      expect(y).toBeGreaterThanOrEqual(room.top - 0.001);
      expect(y).toBeLessThanOrEqual(room.bottom + 0.001);
      for (const [j, other] of placed.entries()) {
        if (j <= i || other.side !== side) continue;
        expect(segmentsCross(pads[i]!, end(i), pads[j]!, end(j))).toBe(false);
        expect(Math.abs(other.y - y)).toBeGreaterThan(Math.min(room.row, 330 / count) - 0.01);
      }
    }
  });

  it('stand on the nearer side while there is room, then on the other', () => {
    const left = (pads: readonly XY[]) => sidesOf(pads, room).filter((side) => side === 'left').length;
    expect(
      left([
        [120, 40],
        [150, 90],
        [480, 50],
      ]),
    ).toBe(2);
    const crowd = (length: number) => Array.from({ length }, (_, index): XY => [120 + index, 20 + 7 * index]);
    expect([24, 30, 41].map((length) => left(crowd(length)))).toEqual([15, 15, 21]);
  });

  it('keep the height of their pad where nothing is in the way', () => {
    expect(
      placeLeaders(
        [
          [120, 40],
          [130, 200],
        ],
        ['left', 'left'],
        room,
      ).map(({ y }) => y),
    ).toEqual([40, 200]);
  });

  it('leave a row of pads on an edge by lanes, so that none runs over its neighbour', () => {
    const pads: XY[] = [
      [320, 40],
      [350, 40],
      [380, 40],
      [200, 300],
    ];
    const exits = exitsOf(pads, ['upper', 'upper', 'upper', null], ['right', 'right', 'right', 'left'], {
      upperY: 30,
      lowerY: 310,
      lane: 7,
    });
    expect(exits).toEqual([
      [320, 9],
      [350, 16],
      [380, 23],
      [200, 300],
    ]);
    const lower = exitsOf(pads, [null, 'lower', 'lower', 'lower'], ['left', 'left', 'left', 'left'], {
      upperY: 30,
      lowerY: 310,
      lane: 7,
    });
    expect(lower).toEqual([
      [320, 40],
      [350, 324],
      [380, 331],
      [200, 317],
    ]);
  });
});
