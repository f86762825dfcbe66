/** Where the motors of a frame sit, by its pattern and two distances. */
import type { FrameBody } from '../../facts/catalogue/frame';
import type { XY } from '../../facts/terms/names';
import type { FrameDraft, MotorPattern } from './frameDraft';

/** From the front right one anticlockwise. */
export function square(apartMm: number, aheadMm = 0): XY[] {
  const half = apartMm / 2;
  return [
    [half, aheadMm + half],
    [-half, aheadMm + half],
    [-half, aheadMm - half],
    [half, aheadMm - half],
  ];
}

const rings: Readonly<Partial<Record<MotorPattern, number>>> = { 'six in a ring': 6, 'eight in a ring': 8 };

export function cornersOf({ motors, acrossMm, alongMm, propellerMm: discMm }: FrameDraft): FrameBody['corners'] {
  const count = rings[motors];
  const upper = count
    ? Array.from({ length: count }, (_, index): XY => {
        const turn = (2 * Math.PI * index) / count;
        return [(Math.cos(turn) * acrossMm) / 2, (Math.sin(turn) * alongMm) / 2];
      })
    : square(1).map(([x, y]): XY => [x * acrossMm, y * alongMm]);
  const lower = motors === 'eight in pairs' ? upper : [];
  const corner = (atMm: XY, index: number, level: 'upper' | 'lower') => ({ index: index + 1, atMm, level, discMm });
  return [
    ...upper.map((at, index) => corner(at, index, 'upper')),
    ...lower.map((at, index) => corner(at, upper.length + index, 'lower')),
  ];
}
