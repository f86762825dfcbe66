/** What a fault does to the copper of a good circuit: into which parts a piece falls, and what is joined. */
import { groupedBy } from '../../../facts/terms/groupedBy';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Edit, Melted } from '../../../physics/circuit/melt';

/** One end of an element on a piece of copper that falls apart. */
interface BorneEnd {
  /** The place of the element in the good circuit. */
  place: number;
  /** Of what flows through the element so much flows into the copper here. */
  sign: 1 | -1;
  /** The part of the piece that it is on. */
  part: number;
}

export interface FaultyCopper {
  faulty: Melted;
  /** Whether a branch is gone. */
  isCut: boolean;
  /** Elements that are gone, by their places in the good circuit. */
  gone: readonly number[];
  /** What is joined, as pieces of the good circuit. */
  joins: readonly (readonly [number, number])[];
  /** Pieces that are cut, with all ends on them. */
  cutPieces: readonly {
    piece: number;
    /** What it falls into, as pieces of the faulty circuit. */
    parts: readonly number[];
    /** Room to add up what flows into each part. */
    flowing: Float64Array;
    ends: readonly BorneEnd[];
    /** Ends of what lay within it. */
    isOpened: boolean;
  }[];
}

export function faultyCopperOf(
  { nodes, branches }: Circuit,
  sound: Melted,
): (edits: readonly Edit[], faulty: Melted) => FaultyCopper {
  const named = new Map(branches.map(({ id, a, b }) => [id, { a, b }]));
  const places = new Map(sound.inners.map(({ id }, place) => [id, place]));
  const nodesOn = groupedBy(nodes, (node) => sound.pieceOf(node));
  const endsOn = groupedBy(
    sound.inners.flatMap((inner, place) =>
      (['a', 'b'] as const).map((end) => ({ place, end, piece: inner[end], node: named.get(inner.id)![end] })),
    ),
    ({ piece }) => piece,
  );
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
        return ends && !places.has(id) ? [sound.pieceOf(ends.a), sound.pieceOf(ends.b)] : [];
      }),
    );
    return {
      faulty,
      isCut: cuts.length > 0,
      gone: cuts.flatMap((id) => places.get(id) ?? []),
      joins: edits.flatMap((edit) =>
        'cut' in edit ? [] : [[sound.pieceOf(edit.bridge[0]), sound.pieceOf(edit.bridge[1])] as const],
      ),
      cutPieces: [...cutPieces].map((piece) => {
        const parts = [...new Set((nodesOn.get(piece) ?? []).map((node) => faulty.pieceOf(node)))];
        return {
          piece,
          parts,
          flowing: new Float64Array(parts.length),
          ends: (endsOn.get(piece) ?? []).map(({ place, end, node }) => ({
            place,
            sign: end === 'a' ? -1 : 1,
            part: parts.indexOf(faulty.pieceOf(node)),
          })),
          isOpened: (within.get(piece) ?? []).some(
            ({ id, a, b }) => !cuts.includes(id) && faulty.pieceOf(a) !== faulty.pieceOf(b),
          ),
        };
      }),
    };
  };
}
