/** The hands when no step is open: what was proved, and what no tool here can see. */
import { padWords, terminalWords } from '@junctor/core';
import styled from 'styled-components';
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

const Pairs = styled.p`
  font-size: 16px;
  line-height: 1.3;
  padding-top: 8px;
`;
const unseen = [
  'weak or cracked joints that still conduct',
  'logic wires exchanged between plugs',
  'regulators that stay silent',
  'turning sense of the motors',
  'whether the receiver is bound',
];

function NotSeen({ bench }: { bench: Bench }) {
  const { target, touches } = bench.state;
  const pairs = touches.notProven.map(([a, b]) => `${terminalWords(a, target)} and ${padWords(b, target)}`);
  return (
    <>
      <BigLines label="What no tool here can see" lines={unseen} />
      <Pairs>
        <strong>{pairs.length} neighbouring pairs, contact not proven:</strong> {pairs.join('; ')}
      </Pairs>
    </>
  );
}
