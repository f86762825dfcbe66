/** The reach of a board on the drawing table, and which of its edges a pad lies along. Lengths in mm. */
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { XY } from '../../facts/terms/names';

/** Width and height that hold the whole board and all of its pads, centre in the middle. */
export function span({ body, terminals }: PartModel): XY {
  const reach = (axis: 0 | 1) =>
    2 *
    Math.max(
      ...body.outlineMm.map((at) => Math.abs(at[axis])),
      ...terminals.map(
        (terminal) => Math.abs(terminal.atMm[axis]) + (terminal.form === 'tail' ? 0 : terminal.sizeMm[axis] / 2),
      ),
    );
  return [reach(0), reach(1)];
}

/** The upper or lower edge of the board that a pad lies along; null for one at the side, inside, or in a plug. */
export function edgeOf({ atMm, sizeMm, form }: Terminal, model: PartModel): 'upper' | 'lower' | null {
  const [spanX, spanY] = span(model);
  const [toSide, toEnd] = [spanX / 2 - Math.abs(atMm[0]), spanY / 2 - Math.abs(atMm[1])];
  if (form !== 'pad' || toEnd >= toSide || toEnd > sizeMm[1]) return null;
  return atMm[1] > 0 ? 'upper' : 'lower';
}
