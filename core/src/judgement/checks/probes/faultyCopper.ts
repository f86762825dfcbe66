/** What a fault does to the copper of a good circuit: into which parts a piece falls, and what is joined. */
import type { Circuit } from '../../../physics/circuit/compile';
import type { Edit, Melted } from '../../../physics/circuit/melt';
import type { Inner } from '../../../physics/circuit/port';

/** One end of an element on a piece of copper that falls apart. */
interface BorneEnd {
  inner: Inner;
  end: 'a' | 'b';
  /** The piece of the faulty circuit that it is on. */
  part: number;
}

export interface FaultyCopper {
  faulty: Melted;
  /** Branches that are gone. */
  cuts: readonly string[];
  /** Elements among them. */
  gone: readonly Inner[];
  /** What is joined, as pieces of the good circuit. */
  joins: readonly (readonly [number, number])[];
  /** Pieces that are cut, with all ends on them. */
  cutPieces: readonly {
    piece: number;
    ends: readonly BorneEnd[];
    /** Ends of what lay within it. */ isOpened: boolean;
  }[];
}

export function faultyCopperOf(
  { branches }: Circuit,
  sound: Melted,
): (edits: readonly Edit[], faulty: Melted) => FaultyCopper {
  const named = new Map(branches.map(({ id, a, b }) => [id, { a, b }]));
  const inners = new Map(sound.inners.map((inner) => [inner.id, inner]));
  const onPiece = new Map<number, { inner: Inner; end: 'a' | 'b' }[]>();
  for (const inner of sound.inners)
    for (const end of ['a', 'b'] as const)
      onPiece.set(inner[end], [...(onPiece.get(inner[end]) ?? []), { inner, end }]);
  /** Elements with both ends on one piece: nobody sees them until it falls apart. */
  const within = new Map<number, { id: string; a: string; b: string }[]>();
  for (const { id, a, b, element } of branches) {
    const piece = sound.pieceOf(a);
    if (piece === sound.pieceOf(b) && element.is !== 'capacitor')
      within.set(piece, [...(within.get(piece) ?? []), { id, a, b }]);
  }

  return (edits, faulty) => {
    const cuts = edits.flatMap((edit) => ('cut' in edit ? [edit.cut] : []));
    const cutPieces = new Set(
      cuts.flatMap((id) => {
        const ends = named.get(id);
        return ends && !inners.has(id) ? [sound.pieceOf(ends.a), sound.pieceOf(ends.b)] : [];
      }),
    );
    return {
      faulty,
      cuts,
      gone: cuts.flatMap((id) => inners.get(id) ?? []),
      joins: edits.flatMap((edit) =>
        'cut' in edit ? [] : [[sound.pieceOf(edit.bridge[0]), sound.pieceOf(edit.bridge[1])] as const],
      ),
      cutPieces: [...cutPieces].map((piece) => ({
        piece,
        ends: (onPiece.get(piece) ?? []).map(({ inner, end }) => ({
          inner,
          end,
          part: faulty.pieceOf(named.get(inner.id)![end]),
        })),
        isOpened: (within.get(piece) ?? []).some(
          ({ id, a, b }) => !cuts.includes(id) && faulty.pieceOf(a) !== faulty.pieceOf(b),
        ),
      })),
    };
  };
}
