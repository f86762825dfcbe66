/** The hands at the kit table: what the build needs on the left, what is on the table on the right. */
import { amountWords, notesOf } from '@junctor/core';
import styled from 'styled-components';
import type { Bench } from '../../../bench/provider/bench';
import type { Hand } from '../../../ui/Frame';
import { Words } from '../../../ui/layout';

const Lines = styled.ol`
  font-size: 18px;
  line-height: 30px;
  padding-top: 8px;
  li {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr) auto;
    gap: 8px;
    white-space: nowrap;
  }
  li span {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  li[data-now='true'] {
    font-weight: 700;
  }
`;
export function needsHand(bench: Bench, current: string): Hand {
  return { title: 'what the build needs', note: 'in picking order', body: <Needs bench={bench} current={current} /> };
}

export function countedHand(bench: Bench): Hand {
  return { title: 'what is on the table', note: 'counted in', body: <Counted bench={bench} /> };
}

function Needs({ bench, current }: { bench: Bench; current: string }) {
  const lines = bench.state.steps.filter((step) => step.verb === 'count');
  const at = lines.findIndex((step) => step.subject === current);
  const from = Math.max(0, Math.min(at - 3, lines.length - 11));
  return (
    <Lines start={from + 1}>
      {lines.slice(from, from + 11).map((step) => {
        const glyphOf = () => {
          if (step.subject === current) return '►';
          if (step.done) {
            if (step.blockedReason) return '▲';
            return '●';
          }
          return '○';
        };
        return (
          <li key={step.id} data-now={step.subject === current}>
            <span aria-hidden>{glyphOf()}</span>
            <span>{step.line.name}</span>
            <span>{amountWords(step.line.needed, step.line.unit)}</span>
          </li>
        );
      })}
    </Lines>
  );
}

function Counted({ bench }: { bench: Bench }) {
  const counted = notesOf(bench.state.log, 'kit')
    .filter(({ record }) => record.jobId === bench.job.id)
    .slice(-11)
    .reverse();
  const names = new Map(
    bench.state.steps.flatMap((step) => (step.verb === 'count' ? [[step.subject, step.line] as const] : [])),
  );
  if (counted.length === 0) return <Words>Nothing yet. What is counted in stands here.</Words>;
  return (
    <Lines>
      {counted.map(({ record: { id, body } }) => (
        <li key={id}>
          <span aria-hidden>{body.have < body.wanted ? '▲' : '●'}</span>
          <span>{body.instead ?? names.get(body.line)?.name ?? body.line}</span>
          <span>
            {amountWords(body.have, names.get(body.line)?.unit ?? 'pieces')}
            {body.have < body.wanted ? ', short' : ''}
          </span>
        </li>
      ))}
    </Lines>
  );
}
