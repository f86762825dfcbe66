/** The points of the hand-over, each with what has become of it. */
import { stepWords } from '@junctor/core';
import { Box, CheckLines } from '../../../bench/hands/Checklist';
import type { Bench } from '../../../bench/provider/bench';

export function TickList({ bench }: { bench: Bench }) {
  const { steps, current } = bench.state;
  const own = steps.filter(({ stretch }) => stretch === 'hand-over');
  return (
    <CheckLines>
      {own.map((step) => (
        <li key={step.id} data-now={step.id === current?.id}>
          <Box done={step.done} />
          <span>
            {stepWords(step, bench.state)}
            {step.done ? ' (done)' : ''}
          </span>
        </li>
      ))}
    </CheckLines>
  );
}
