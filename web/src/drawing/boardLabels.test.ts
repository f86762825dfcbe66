/** On every board that ships, whichever pad is in question: no name covers a hole, a pad or another name. */
import type { PartModel, Side } from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { describe, expect, it } from 'vitest';
import { boardLabels, padBox, shownOn } from './boardLabels';
import { boardSize } from './boardSize';
import type { Box } from './labels';
import { overlaps, placeLabels } from './labels';
import { boardView } from './view';

const boards = (shippedModels() as PartModel[]).filter((model) => shownOn(model, 'top').length > 0);

function drawn(model: PartModel, side: Side, ring: string | null, every = false) {
  const focus = model.terminals.filter(({ id }) => id === ring);
  const view = boardView(model, side, focus, { widthPx: boardSize.width, heightPx: boardSize.height });
  const labels = boardLabels({ model, side, view, rings: ring ? [ring] : [], tags: {}, every });
  const holes = model.body.holes.map(({ atMm, drillMm }): Box => {
    const [x, y] = view.toPx(atMm);
    return { x, y, w: drillMm * view.pxPerMm, h: drillMm * view.pxPerMm, round: true };
  });
  return { labels, solid: [...holes, ...shownOn(model, side).map((terminal) => padBox(terminal, view))] };
}

/** The name of a plate that is larger than the drawing stands in its middle. */
function isWithin(label: Box, plate: Box): boolean {
  return label.x === plate.x && label.y === plate.y && plate.w > boardSize.width / 2;
}

function covered({ labels, solid }: ReturnType<typeof drawn>): string[] {
  return labels.flatMap((label, index) => [
    ...solid
      .filter((box) => overlaps(label.at, box) && !isWithin(label.at, box))
      .map(() => `${label.text} on a pad or hole`),
    ...labels
      .slice(index + 1)
      .filter((other) => overlaps(label.at, other.at))
      .map(({ text }) => `${label.text} on ${text}`),
  ]);
}

describe.each(boards.map((model) => [model.id, model] as const))('%s', (_id, model) => {
  it('has its names beside pads and holes, also with each pad in question, which is always named', () => {
    for (const side of ['top', 'bottom'] as const) {
      const shown = shownOn(model, side);
      if (shown.length === 0) continue;
      expect(covered(drawn(model, side, null, true))).toEqual([]);
      for (const { id, printed } of shown) {
        const picture = drawn(model, side, id);
        expect(covered(picture), `ring on ${id}`).toEqual([]);
        expect(
          picture.labels.map(({ text }) => text),
          `ring on ${id}`,
        ).toContain(printed.replace(/-$/, '−'));
      }
    }
  });
});

it('moves a crowded name outwards with a line to what it names', () => {
  const of = { x: 100, y: 100, w: 10, h: 10 };
  const wish = { id: 'A', text: 'A1', size: 14, of, gap: 4, towards: [0, 1] as const, plate: false, reach: 124 };
  const room = { width: 400, height: 400 };
  const [free] = placeLabels([wish], [], room);
  expect(free).toMatchObject({ line: null });
  const wall = { x: 100, y: 100, w: 60, h: 60 };
  const [moved] = placeLabels([wish], [wall], room);
  expect(moved!.line).not.toBeNull();
  expect(overlaps(moved!.at, wall)).toBe(false);
  expect(placeLabels([{ ...wish, reach: 4 }], [wall], room)).toEqual([]);
});
