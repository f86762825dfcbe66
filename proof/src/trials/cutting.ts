/** Cut lists by chance: small ones against every way to cut, large ones for their time and gap. */
import type { CutList, Offcut, WireToCut } from '@junctor/core';
import { leastCut } from '../oracles/leastCut';

interface Cutting {
  wires: WireToCut[];
  offcuts: Offcut[];
}

export function cuttingOf(chance: () => number, wires: number, offcuts: number, kinds = 1): Cutting {
  const awgs = [28, 26, 24, 20];
  const kind = () => ({ awg: awgs[Math.floor(chance() * kinds)]!, colour: 'red' });
  return {
    wires: Array.from({ length: wires }, (_, index) => ({
      wire: `W${index}`,
      ...kind(),
      mm: 5 * (8 + Math.floor(chance() * 40)),
    })),
    offcuts: Array.from({ length: offcuts }, (_, index) => ({
      id: `O${index}`,
      ...kind(),
      lengthMm: 40 + Math.floor(chance() * 400),
    })),
  };
}

/** Whether every wire is cut once, from its own kind, and no offcut gives more than it has. */
export function isPossible({ wires, offcuts }: Cutting, { pieces }: CutList): boolean {
  const cut = pieces.flatMap((piece) => piece.wires.map(({ wire }) => wire)).sort();
  const all = wires.map(({ wire }) => wire).sort();
  const fits = pieces.every(({ offcut, wires: own, awg, colour }) => {
    const from = offcuts.find(({ id }) => id === offcut);
    const isAlike = own.every((wire) => wire.awg === awg && wire.colour === colour);
    if (offcut === null) return isAlike;
    const needs = 5 + own.reduce((sum, { mm }) => sum + mm, 0) + own.length - 1;
    return isAlike && from?.awg === awg && from.colour === colour && needs <= from.lengthMm;
  });
  return fits && cut.join() === all.join();
}

/** The least that any way of cutting needs, of one kind of wire. */
export function triedAll({ wires, offcuts }: Cutting): { newMm: number; pieces: number } {
  return leastCut(
    offcuts.map(({ lengthMm }) => lengthMm - 4),
    wires.map(({ mm }) => ({ takes: mm + 1, mm })),
  );
}
