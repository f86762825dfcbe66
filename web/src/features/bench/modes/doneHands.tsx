/** The hands when no step is open: what was proved, and what no tool here can see. */
import { leftByKind, leftWords } from '@junctor/core';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { BigLines } from '../../../ui/BigLines';
import { Proved } from './Proved';

export function doneHands(bench: Bench): Hands {
  return {
    left: { title: 'what was proved', note: 'by reading, look or sign', body: <Proved bench={bench} /> },
    right: { title: 'what no tool here can see', note: 'it stays open', body: <NotSeen bench={bench} /> },
  };
}

const unseen = [
  'weak or cracked joints that still conduct',
  'turning sense of the motors',
  'whether the receiver is bound',
];

/** What has room; the whole of it stands on the page of the list. */
const shownAtMost = 9;

function NotSeen({ bench }: { bench: Bench }) {
  const { list, ruledOutEarlier } = bench.state.touches;
  const kinds = list ? leftByKind(list, ruledOutEarlier).filter(({ harm }) => harm !== 'warn') : [];
  const lines = [...unseen, ...kinds.map(leftWords)];
  const more = lines.length - shownAtMost;
  return (
    <BigLines
      label="What no tool here can see"
      lines={more > 0 ? [...lines.slice(0, shownAtMost), `and ${more} kinds more`] : lines}
    />
  );
}
