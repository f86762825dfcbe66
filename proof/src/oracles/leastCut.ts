/** The least that comes off the reels, and then the fewest pieces, by cutting in every way there is. */

/** @param rooms Millimetres that each offcut gives. @param cuts What each wire takes, and is long. */
export function leastCut(
  rooms: readonly number[],
  cuts: readonly { takes: number; mm: number }[],
): { newMm: number; pieces: number } {
  let best = { newMm: Infinity, pieces: Infinity };
  const left = [...rooms];
  const used = rooms.map(() => 0);
  const cut = (index: number, newMm: number, fromReel: boolean): void => {
    if (newMm > best.newMm) return;
    const wire = cuts[index];
    if (!wire) {
      const pieces = used.filter((count) => count > 0).length + (fromReel ? 1 : 0);
      if (newMm < best.newMm || pieces < best.pieces) best = { newMm, pieces };
      return;
    }
    for (let piece = 0; piece < left.length; piece++) {
      if (left[piece]! < wire.takes) continue;
      left[piece]! -= wire.takes;
      used[piece]! += 1;
      cut(index + 1, newMm, fromReel);
      left[piece]! += wire.takes;
      used[piece]! -= 1;
    }
    cut(index + 1, newMm + wire.mm, true);
  };
  cut(0, 0, false);
  return best;
}
