/** What must hold before first power: gates and lines, each with its state in form and word. */
import { stepWords } from '@junctor/core';
import styled, { useTheme } from 'styled-components';
import type { Bench } from '../provider/bench';

export const CheckLines = styled.ol`
  padding-top: 10px;
  font-size: 19px;
  line-height: 1.25;
  display: grid;
  gap: 9px;
  li {
    display: grid;
    grid-template-columns: 26px 1fr;
    align-items: baseline;
  }
  li[data-now='true'] {
    font-weight: 700;
  }
`;

export function Checklist({ bench }: { bench: Bench }) {
  const { steps, gates, current } = bench.state;
  const lines = steps.filter(({ stretch, verb }) => stretch === 'first power' && verb !== 'power');
  const before = gates.filter(
    ({ id, state, missing }) =>
      id !== 'first power' && id !== 'hand-over' && state === 'blocking' && missing.length > 0,
  );
  return (
    <CheckLines>
      {before.map(({ id, missing }) => (
        <li key={id}>
          <Box done={false} />
          <span>
            {id}: {missing.length} open
          </span>
        </li>
      ))}
      {lines.map((step) => {
        const standingOf = () => {
          if (step.done) return ', done';
          if (step.blockedReason) return `: ${step.blockedReason}`;
          return '';
        };
        return (
          <li key={step.id} data-now={step.id === current?.id}>
            <Box done={step.done} />
            <span>
              {stepWords(step, bench.state)}
              {standingOf()}
            </span>
          </li>
        );
      })}
    </CheckLines>
  );
}

/** A filled square with a notch once done, an empty one until then. */
export function Box({ done }: { done: boolean }) {
  const { ink, ground } = useTheme();
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
      <rect x="1.5" y="1.5" width="15" height="15" rx="2" fill={done ? ink : 'none'} stroke={ink} strokeWidth="2" />
      {done && <path d="M4.5 9.5l3 3 6-7" stroke={ground} strokeWidth="2.2" fill="none" />}
    </svg>
  );
}
