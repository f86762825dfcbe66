/** The two probes: black in the left hand, red in the right; each is ringed and named on both boards. */
import type { TerminalRef, Touch } from '@junctor/core';
import { splitRef, terminalWords } from '@junctor/core';
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';
import { boardHand } from './boardHand';
import type { Hands } from './hands';

export function probeHands(bench: Bench, { black, red }: Pick<Touch, 'black' | 'red'>): Hands {
  return {
    left: probeHand(bench, { name: 'black', ref: black }, { name: 'red', ref: red }),
    right: probeHand(bench, { name: 'red', ref: red }, { name: 'black', ref: black }),
  };
}

interface Probe {
  name: 'black' | 'red';
  ref: TerminalRef;
}

function probeHand(bench: Bench, own: Probe, other: Probe): Hand {
  const { slot, terminal } = splitRef(own.ref);
  const there = splitRef(other.ref);
  const hand = boardHand(bench, slot, [terminal], {
    tags: there.slot === slot ? { [terminal]: own.name, [there.terminal]: other.name } : { [terminal]: own.name },
    other: there.slot === slot ? there.terminal : null,
  });
  return {
    ...hand,
    title: `${own.name} probe`,
    note: `${terminalWords(own.ref, bench.state.target)}, ${hand.note}`,
  };
}
