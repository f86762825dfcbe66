/** What a cut list moves in the stores once it is cut: used offcuts go, what stays of them comes back, as does wire. */
import type { StockLine } from '../../facts/catalogue/stockLine';
import type { CutNote } from '../../facts/log/records';
import type { Id } from '../../facts/terms/names';
import type { CutList } from './cutList';

/** Shorter than this is swarf. */
const leastOffcutMm = 40;

type Take = { stock: Id; quantity: number };

/**
 * @param counted What the kit has taken off reels, by its line: `wire:28:red`. More than the list needs goes back.
 * @param newId Of each offcut that is put back.
 */
export function cutNote(list: CutList, counted: ReadonlyMap<string, readonly Take[]>, newId: () => Id): CutNote {
  const from = list.pieces.flatMap(({ offcut, wires, leftMm }) => {
    if (offcut === null) return [];
    const lengthMm = Math.floor(leftMm ?? 0);
    const left = lengthMm >= leastOffcutMm ? { id: newId(), lengthMm } : null;
    return [{ stock: offcut, wires: wires.map(({ wire }) => wire), left }];
  });
  const kinds = [...new Set(list.pieces.map(({ awg, colour }) => `wire:${awg}:${colour}`))];
  const back = kinds.flatMap((kind) => {
    const needMm = list.pieces
      .filter(({ offcut, awg, colour }) => offcut === null && `wire:${awg}:${colour}` === kind)
      .flatMap(({ wires }) => wires)
      .reduce((sum, { mm }) => sum + mm, 0);
    const takes = counted.get(kind) ?? [];
    const mm = Math.floor(takes.reduce((sum, { quantity }) => sum + quantity, 0) - needMm);
    const last = takes.at(-1);
    // No more than came off it: the rest of a longer row of reels stays where it is.
    return last && mm > 0 ? [{ stock: last.stock, mm: Math.min(mm, last.quantity) }] : [];
  });
  return { saw: 'cut', from, back };
}

/** "red wire, 28 AWG, 140 mm": what an offcut is called, and what it is. */
export function offcutLine(of: Pick<StockLine, 'doc' | 'place'>, left: { id: Id; lengthMm: number }): StockLine {
  const { awg, colour } = of.doc;
  return {
    id: left.id,
    key: `offcut:wire:${awg}:${colour}`,
    name: `${colour} wire, ${awg} AWG, ${left.lengthMm} mm`,
    unit: 'pieces',
    onHand: 1,
    offcut: true,
    place: of.place,
    doc: { awg: awg!, colour: colour!, lengthMm: left.lengthMm },
  };
}
