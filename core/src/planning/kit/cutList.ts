/**
 * Which wire is cut from which piece: from offcuts first, so that the least comes off the reels, then in the fewest
 * pieces. Each offcut is filled as well as what is left allows (a knapsack by its millimetres, exactly), in several
 * orders; what no order can beat bounds it (Martello, Toth: Knapsack Problems, ch. 2 and 6). Where that does not meet,
 * the exact model decides as far as it is small; beyond, the gap is known.
 */
import { groupedBy } from '../../facts/terms/groupedBy';
import type { Solve } from '../../facts/terms/solver';
import { cutExactly } from './cutExactly';
import type { Filled, Offcut, WireToCut } from './offcut';
import { kerfMm, roomMm } from './offcut';

export interface CutPiece {
  /** An offcut, or null for the reel. */
  offcut: string | null;
  awg: number;
  colour: string;
  /** In cutting order: the longest first. */
  wires: readonly WireToCut[];
  /** What stays of an offcut, after the cuts and its tinned end. */
  leftMm: number | null;
}

export interface CutList {
  pieces: readonly CutPiece[];
  newMm: number;
  /** No list needs less of the reels than this. */
  leastNewMm: number;
}

export function cutList(wires: readonly WireToCut[], offcuts: readonly Offcut[], solve: Solve): CutList {
  const kinds = [...groupedBy(wires, ({ awg, colour }) => `${awg} ${colour}`).values()];
  const lists = kinds.map((own) => {
    const { awg, colour } = own[0]!;
    const alike = offcuts.filter((one) => one.awg === awg && one.colour === colour);
    return ofKind(own, alike, solve);
  });
  const total = (pick: (list: CutList) => number) => lists.reduce((sum, list) => sum + pick(list), 0);
  return {
    pieces: lists.flatMap(({ pieces }) => pieces),
    newMm: total(({ newMm }) => newMm),
    leastNewMm: total(({ leastNewMm }) => leastNewMm),
  };
}

function ofKind(wires: readonly WireToCut[], offcuts: readonly Offcut[], solve: Solve): CutList {
  const allMm = lengthOf(wires);
  const usable = offcuts.filter((offcut) => wires.some(({ mm }) => mm + kerfMm <= roomMm(offcut)));
  let mostMm = mostFrom(wires, usable);
  let best: Filled = new Map();
  for (const order of ordersOf(usable)) {
    const filled = filledIn(order, wires);
    if (takenMm(filled) > takenMm(best)) best = filled;
    if (takenMm(best) === mostMm) break;
  }
  let fewest = inFewest(best, wires, usable);
  const exact = wires.length * usable.length <= mostPairs ? cutExactly(wires, usable, solve) : null;
  if (exact) [fewest, mostMm] = [exact, takenMm(exact)];
  const taken = new Set([...fewest.values()].flat());
  const rest = wires.filter((wire) => !taken.has(wire));
  const { awg, colour } = wires[0]!;
  const pieces = [...fewest].map(([offcut, own]): CutPiece => ({
    offcut: offcut.id,
    awg,
    colour,
    wires: longestFirst(own),
    leftMm: roomMm(offcut) - own.reduce((sum, { mm }) => sum + mm + kerfMm, 0),
  }));
  const reel: CutPiece = { offcut: null, awg, colour, wires: longestFirst(rest), leftMm: null };
  return { pieces: rest.length > 0 ? [...pieces, reel] : pieces, newMm: lengthOf(rest), leastNewMm: allMm - mostMm };
}

/** Of wires and offcuts: with more the exact model takes too long. */
const mostPairs = 80;

const lengthOf = (wires: readonly WireToCut[]) => wires.reduce((sum, { mm }) => sum + mm, 0);
const takenMm = (filled: Filled) => [...filled.values()].reduce((sum, own) => sum + lengthOf(own), 0);
const longestFirst = (list: readonly WireToCut[]) => [...list].sort((a, b) => b.mm - a.mm);

/** More can come from offcuts in no way: not more than each can give by itself, nor than fits into any of them. */
function mostFrom(wires: readonly WireToCut[], offcuts: readonly Offcut[]): number {
  const widest = Math.max(0, ...offcuts.map(roomMm));
  const fitting = wires.filter(({ mm }) => mm + kerfMm <= widest);
  const each = offcuts.reduce((sum, offcut) => sum + lengthOf(bestIn(offcut, wires)), 0);
  return Math.min(lengthOf(fitting), each);
}

/** Small ones first, large ones first, and either from places further on. */
function ordersOf(offcuts: readonly Offcut[]): readonly (readonly Offcut[])[] {
  const rising = [...offcuts].sort((a, b) => a.lengthMm - b.lengthMm);
  return [rising, [...rising].reverse()].flatMap((order) =>
    order.map((_, at) => [...order.slice(at), ...order.slice(0, at)]),
  );
}

function filledIn(order: readonly Offcut[], wires: readonly WireToCut[]): Filled {
  const filled = new Map<Offcut, readonly WireToCut[]>();
  let left = longestFirst(wires);
  for (const offcut of order) {
    const own = bestIn(offcut, left);
    if (own.length === 0) continue;
    filled.set(offcut, own);
    left = left.filter((wire) => !own.includes(wire));
  }
  return filled;
}

/** What fills one offcut best: the most millimetres, by exact dynamic programming over its length. */
function bestIn(offcut: Offcut, wires: readonly WireToCut[]): WireToCut[] {
  const room = roomMm(offcut);
  if (room <= 0) return [];
  const most = new Float64Array(room + 1);
  const takes = wires.map(({ mm }) => {
    const taken = new Uint8Array(room + 1);
    const size = Math.ceil(mm) + kerfMm;
    for (let at = room; at >= size; at -= 1) {
      if (most[at - size]! + mm <= most[at]!) continue;
      most[at] = most[at - size]! + mm;
      taken[at] = 1;
    }
    return taken;
  });
  const own: WireToCut[] = [];
  let at = room;
  for (let index = wires.length - 1; index >= 0; index -= 1) {
    if (takes[index]![at] === 0) continue;
    own.push(wires[index]!);
    at -= Math.ceil(wires[index]!.mm) + kerfMm;
  }
  return own;
}

/** As much from offcuts, out of the largest alone as few as will do. */
function inFewest(best: Filled, wires: readonly WireToCut[], offcuts: readonly Offcut[]): Filled {
  const falling = [...offcuts].sort((a, b) => b.lengthMm - a.lengthMm);
  for (let count = 1; count < best.size; count += 1) {
    const few = falling.slice(0, count);
    if (few.reduce((sum, offcut) => sum + roomMm(offcut), 0) < takenMm(best)) continue;
    for (const order of ordersOf(few)) {
      const filled = filledIn(order, wires);
      if (takenMm(filled) >= takenMm(best)) return filled;
    }
  }
  return best;
}
