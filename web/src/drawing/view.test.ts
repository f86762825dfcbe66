import type { PartModel, Terminal } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { boardView, padTowards } from './view';

function pad(
  id: string,
  atMm: readonly [number, number],
  sizeMm: readonly [number, number] = [3, 3],
  sides: Terminal['sides'] = ['top', 'bottom'],
): Terminal {
  return {
    id,
    printed: id,
    node: id,
    form: 'pad',
    sides,
    atMm,
    sizeMm,
    copper: 'trace',
    holds: 1,
    thickestAwg: 18,
    withstandV: [0, 1],
    withstandOffV: [0, 1],
    touch: 'easy',
    contact: 'bare',
    roles: [{ is: 'metal' }],
  };
}
const model = {
  body: {
    outlineMm: [
      [-20, -20],
      [20, -20],
      [20, 20],
      [-20, 20],
    ],
  },
  terminals: [
    pad('A', [-10, 15]),
    pad('B', [0, 15]),
    pad('C', [10, 15]),
    pad('D', [0, -15]),
    pad('small', [18, 0], [0.8, 0.8]),
    pad('under', [5, 15], [3, 3], ['bottom']),
  ],
} as unknown as PartModel;
const named = (id: string) => model.terminals.find((terminal) => terminal.id === id)!;

describe('boardView', () => {
  it('shows the whole board where its pads can be told apart, and zooms to one that cannot', () => {
    expect(boardView(model, 'top', [named('A')], { widthPx: 492, heightPx: 362 }).zoomed).toBe(false);
    const close = boardView(model, 'top', [named('small')], { widthPx: 492, heightPx: 362 });
    expect(close.zoomed).toBe(true);
    const [x, y] = close.toPx(named('small').atMm);
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(492);
    expect(y).toBeCloseTo(181, 0);
  });

  it('mirrors the underside, and keeps up as up', () => {
    const [top, bottom] = (['top', 'bottom'] as const).map((side) =>
      boardView(model, side, [], { widthPx: 492, heightPx: 362 }).toPx([10, 15]),
    );
    expect(top![0] - 246).toBeCloseTo(246 - bottom![0]);
    expect(top![1]).toBe(bottom![1]);
    expect(top![1]).toBeLessThan(181);
  });
});

describe('padTowards', () => {
  it.each([
    ['B', 'right', 'C'],
    ['B', 'left', 'A'],
    ['B', 'down', 'D'],
    ['C', 'up', null],
    ['A', 'right', 'B'],
  ] as const)('from %s %s to %s', (from, direction, to) => {
    expect(padTowards(model, 'top', named(from), direction)?.id ?? null).toBe(to);
  });

  it('walks the underside as it is seen', () => {
    expect(padTowards(model, 'bottom', named('B'), 'left')?.id).toBe('under');
  });
});
