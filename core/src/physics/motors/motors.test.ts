import { describe, expect, it } from 'vitest';
import { emptyBuild } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import { model } from '../../testing/fixtures';
import { alignmentOf, tiltSigns } from './alignment';
import { turningSenses } from './motorMap';
import { nearestChannels } from './nearestChannels';
import { assemble } from '../../facts/assembly/assembly';

const ring = (count: number, level: 'upper' | 'lower', from = 1) =>
  Array.from({ length: count }, (_, place) => {
    const turn = (2 * Math.PI * (place + 0.5)) / count;
    return { index: from + place, atMm: [100 * Math.cos(turn), 100 * Math.sin(turn)] as const, level, discMm: 100 };
  });

describe('turning senses', () => {
  it.each([4, 6, 8])('of a flat %i: neighbours against each other, as many one way as the other', (count) => {
    const senses = [...turningSenses(ring(count, 'upper'))].sort(([a], [b]) => a - b).map(([, sense]) => sense);
    expect(senses.every((sense, place) => sense !== senses[(place + 1) % count])).toBe(true);
    expect(senses.filter((sense) => sense === 'clockwise')).toHaveLength(count / 2);
    expect(senses[0]).toBe('anticlockwise');
  });
  it('of coaxial and Y: the lower against its upper', () => {
    for (const arms of [3, 4]) {
      const senses = turningSenses([...ring(arms, 'upper'), ...ring(arms, 'lower', arms + 1)]);
      for (let arm = 1; arm <= arms; arm++) expect(senses.get(arm)).not.toBe(senses.get(arm + arms));
    }
    expect(new Set([...turningSenses(ring(3, 'upper')).values()])).toEqual(new Set(['anticlockwise']));
  });
});

it('finds the straightest leads, exactly, as all permutations would', () => {
  const distance = [
    [3, 9, 4, 8],
    [2, 7, 9, 1],
    [5, 5, 5, 5],
    [9, 1, 3, 6],
  ];
  const permutations = (list: number[]): number[][] =>
    list.length < 2
      ? [list]
      : list.flatMap((head) => permutations(list.filter((other) => other !== head)).map((rest) => [head, ...rest]));
  const cost = (chosen: number[]) => chosen.reduce((sum, channel, motor) => sum + distance[motor]![channel]!, 0);
  expect(cost(nearestChannels(distance))).toBe(Math.min(...permutations([0, 1, 2, 3]).map(cost)));
  expect(
    nearestChannels([
      [1, 1],
      [1, 1],
    ]),
  ).toEqual([0, 1]);
});

describe('board alignment', () => {
  const catalogue = makeCatalogue([
    model('fc', 'controller', [], {
      body: { outlineMm: [], aboveMm: 1, belowMm: 1, holes: [], openings: [], arrowDeg: 90 },
    }),
  ]);
  const lying = (yawDeg: number, face: 'up' | 'down') =>
    alignmentOf(
      assemble(
        {
          ...emptyBuild,
          slots: {
            FC: { model: 'fc', revision: 1, part: null, pose: { place: 'stack', atMm: [0, 0, 0], yawDeg, face } },
          },
        },
        catalogue,
      ),
    )!;
  it('follows how the board lies', () => {
    expect([lying(0, 'up').yawDeg, lying(-90, 'up').yawDeg, lying(180, 'up').yawDeg, lying(90, 'up').yawDeg]).toEqual([
      0, 90, 180, 270,
    ]);
    expect(lying(0, 'down')).toMatchObject({ yawDeg: 0, upsideDown: true });
    expect(lying(33, 'up').known).toBe(false);
    expect(alignmentOf(assemble(emptyBuild, catalogue))).toBeNull();
  });
  it('gives the signs that a tilt shows on the board itself', () => {
    const signs = (yawDeg: 0 | 90 | 180 | 270, upsideDown = false) =>
      tiltSigns({ yawDeg, upsideDown }).map(({ board }) => `${board.polarity > 0 ? '+' : '-'}${board.axis}`);
    expect(signs(0)).toEqual(['+pitch', '+roll', '+yaw']);
    // Turned clockwise by 90 the board's front looks right: nose down is its left side down.
    expect(signs(90)).toEqual(['-roll', '+pitch', '+yaw']);
    expect(signs(180)).toEqual(['-pitch', '-roll', '+yaw']);
    // Turned over, its nose goes towards its own up when the aircraft's goes down.
    expect(signs(0, true)).toEqual(['-pitch', '+roll', '-yaw']);
  });
});
