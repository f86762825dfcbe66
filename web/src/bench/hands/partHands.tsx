/** A part in the hand: its board, its leads, or the place of it that is meant. */
import type { TerminalRef } from '@junctor/core';
import { splitRef } from '@junctor/core';
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';
import { boardHand } from './boardHand';
import type { Hands } from './hands';
import { asBuiltBench } from './hands';
import { isBoard } from './jointHands';
import { leadsHand } from './leadsHand';

export function partHand(bench: Bench, slot: string): Hand {
  return { ...boardHand(bench, slot, [], {}), note: bench.state.target.model(slot)!.name };
}

export function partHands(bench: Bench, slot: string): Hands {
  return { left: partHand(bench, slot), right: leadsHand(bench, slot, null) };
}

/** The board or part under a terminal; what came off is drawn as it came in. */
export function placeHand(bench: Bench, ref: TerminalRef, rings: readonly string[]): Hand {
  const { slot } = splitRef(ref);
  const here = bench.state.target.build.slots[slot] ? bench : asBuiltBench(bench);
  return isBoard(here.state.target.model(slot)) ? boardHand(here, slot, rings, {}) : leadsHand(here, slot, null);
}
