/** A fault as a change of a settled port: which elements go from where to where, which nodes are joined. */
import type { Rewiring } from '../../../physics/circuit/linearised';
import type { Melted } from '../../../physics/circuit/melt';
import type { FaultyCopper } from './faultyCopper';
import type { Probes } from './mayShow';

/** More equations than this are not worth it beside the whole circuit. */
const mostReplaced = 12;

/**
 * @param nodeOf The node of the port for a piece of the good circuit; undefined where it does not hang on the probes,
 * or on one of them alone.
 * @returns null where it cannot be said in these nodes.
 */
export function rewired(
  { faulty, gone, joins, cutPieces }: FaultyCopper,
  probes: Probes,
  { sound, size, nodeOf }: { sound: Melted; size: number; nodeOf: (piece: number) => number | undefined },
): Rewiring | null {
  /** For each piece the part of it that stays where it was: what a probe is on, else what most hangs on. */
  const mainOf = new Map<number, number>();
  for (const { pieces, parts } of joins) pieces.forEach((piece, side) => mainOf.set(piece, parts[side]!));
  for (const { piece, ends, isOpened } of cutPieces) {
    if (isOpened) return null;
    const probed = [probes.blackNode, probes.redNode].find((node) => sound.pieceOf(node) === piece);
    mainOf.set(piece, probed === undefined ? mostOf(ends.map(({ part }) => part)) : faulty.pieceOf(probed));
  }
  const homes = new Map<number, number>();
  const joined: { ends: readonly [number, number]; ohms: number }[] = [];
  let isLoose = false;
  const place = (piece: number): number => {
    const node = nodeOf(piece);
    isLoose ||= node === undefined;
    return node ?? 0;
  };
  const copperOhms = Math.min(...joins.map(({ ohms }) => ohms));
  for (const [piece, part] of mainOf) {
    const home = homes.get(part);
    if (home === undefined) homes.set(part, place(piece));
    else joined.push({ ends: [home, place(piece)], ohms: copperOhms });
  }
  let added = 0;
  const homeOf = (part: number): number => {
    if (!homes.has(part)) homes.set(part, size + added++);
    return homes.get(part)!;
  };
  for (const {
    parts: [a, b],
    ohms,
  } of joins)
    if (a !== b) joined.push({ ends: [homeOf(a), homeOf(b)], ohms });
  const replaced = new Map<string, Rewiring['replaced'][number]>(
    // What lies on no way from probe to probe carries nothing, there or gone.
    gone.flatMap(({ id, element, a, b }) => {
      const [one, other] = [nodeOf(a), nodeOf(b)];
      return one === undefined || other === undefined ? [] : [[id, { element, from: [one, other], to: null }]];
    }),
  );
  for (const { piece, ends } of cutPieces)
    for (const { inner, end, part } of ends) {
      if (part === mainOf.get(piece) || inner.element.is === 'capacitor') continue;
      const from = [place(inner.a), place(inner.b)] as const;
      const { to } = replaced.get(inner.id) ?? { to: from };
      if (!to) continue;
      const home = homeOf(part);
      replaced.set(inner.id, { element: inner.element, from, to: end === 'a' ? [home, to[1]] : [to[0], home] });
    }
  return isLoose || replaced.size > mostReplaced ? null : { replaced: [...replaced.values()], joined, added };
}

function mostOf(parts: readonly number[]): number {
  const counts = new Map<number, number>();
  for (const part of parts) counts.set(part, (counts.get(part) ?? 0) + 1);
  return [...counts].sort(([, few], [, many]) => many - few)[0]?.[0] ?? -1;
}
