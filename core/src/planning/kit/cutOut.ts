/** What a cut list moves in the stores once it is cut: used offcuts go, what stays of them comes back, as does wire. */
import type { StockLine } from '../../facts/catalogue/stockLine';
import type { CutNote } from '../../facts/log/records';
import type { Id } from '../../facts/terms/names';
import { groupedBy } from '../../facts/terms/groupedBy';
import type { CutList } from './cutList';
import type { Offcut } from './offcut';
import { wireKey } from './offcut';

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
  const back = [...groupedBy(list.pieces, wireKey)].flatMap(([kind, pieces]) => {
    const offReel = pieces.flatMap(({ offcut, wires }) => (offcut === null ? wires : []));
    const needMm = offReel.reduce((sum, { mm }) => sum + mm, 0);
    const takes = counted.get(kind) ?? [];
    const mm = Math.floor(takes.reduce((sum, { quantity }) => sum + quantity, 0) - needMm);
    const last = takes.at(-1);
    // No more than came off it: the rest of a longer row of reels stays where it is.
    return last && mm > 0 ? [{ stock: last.stock, mm: Math.min(mm, last.quantity) }] : [];
  });
  return { saw: 'cut', from, back };
}

/** Of a kit's line of wire, what a cut list takes from offcuts, in mm, and which those are. */
export function offcutsFor(list: CutList, line: string): { mm: number; from: readonly Id[] } {
  const pieces = list.pieces.filter((piece) => piece.offcut !== null && wireKey(piece) === line);
  const mm = pieces.flatMap(({ wires }) => wires).reduce((sum, wire) => sum + wire.mm, 0);
  return { mm, from: pieces.map(({ offcut }) => offcut!) };
}

/** "red wire, 28 AWG, 140 mm": what an offcut is called, and what it is. */
export function offcutLine({ id, awg, colour, lengthMm }: Offcut, place: string): StockLine {
  return {
    id,
    key: `offcut:${wireKey({ awg, colour })}`,
    name: `${colour} wire, ${awg} AWG, ${lengthMm} mm`,
    unit: 'pieces',
    onHand: 1,
    offcut: true,
    place,
    doc: { awg, colour, lengthMm },
  };
}
