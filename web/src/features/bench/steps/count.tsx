/** The kit table: one line of the pick list at a time, with where it lies and whether it is enough. */
import type { StepOf } from '@junctor/core';
import { amountWords, kitUse, notesOf, possible, pickFor, stepWords, takesFor } from '@junctor/core';
import styled from 'styled-components';
import { useParts, useStock } from '../../../api/stores';
import type { Answer } from '../../../ui/Answers';
import type { Hand } from '../../../ui/Frame';
import { Fact } from '../../../ui/Frame';
import { commonAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import { Typed, usePrompts } from '../prompts/Prompts';
import { useState } from 'react';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
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
const stateWords = { enough: 'enough', short: 'short', used: 'enough, used', 'not listed': 'count by eye' } as const;

export const count: StepScreen<StepOf<'count'>> = {
  hands: (bench, { line }) => ({ left: needsHand(bench, line.key), right: countedHand(bench) }),
  Screen: CountScreen,
};

function CountScreen({ step }: { step: StepOf<'count'> }) {
  const bench = useBench();
  const doors = useDoors();
  const { line } = step;
  const stock = useStock();
  const parts = useParts('');
  const [typing, setTyping] = useState(false);
  const inShop = (parts.data ?? []).filter(({ onQuad }) => onQuad === null);
  const pick = pickFor(line, stock.data ?? [], inShop);
  const place = stock.data?.find(({ key, offcut }) => key === line.key && !offcut)?.place;
  const countIn = (have: number) =>
    bench.record(
      [{ saw: 'kit', line: line.key, wanted: line.needed, have, takes: takesFor(pick, have), parts: pick.parts }],
      step.id,
    );
  const number = usePrompts(
    [
      {
        id: 'have',
        asks: `How much of ${line.name} is there`,
        hint: 'Count what is on the table.',
        unit: line.unit,
        possible: possible.amount,
      },
    ],
    ({ have }) => countIn(Number(have)),
  );
  const rest = () =>
    bench.recordEach(
      bench.state.steps.flatMap((step) => {
        if (step.verb !== 'count' || step.done) return [];
        const own = pickFor(step.line, stock.data ?? [], inShop);
        return [
          {
            step: step.id,
            body: {
              saw: 'kit' as const,
              line: step.line.key,
              wanted: step.line.needed,
              have: own.have,
              takes: own.takes,
              parts: own.parts,
            },
          },
        ];
      }),
    );
  const donor = pick.donors[0];
  const takeDonor = () =>
    donor &&
    bench.record(
      [
        {
          saw: 'kit',
          line: line.key,
          wanted: line.needed,
          have: line.needed,
          takes: [{ stock: donor.id, quantity: 1 }],
          parts: [],
        },
      ],
      step.id,
    );
  const common = commonAnswers(bench, doors).filter(({ key }) => !typing || key === '*');
  const short = pick.state === 'short';
  const use = kitUse(line, bench.state.steps, bench.state.target);
  const answers: Answer[] = typing
    ? [...common, { key: 'Escape', label: 'Not that', act: () => setTyping(false) }, ...number.answers]
    : [
        ...common,
        { key: '5', label: 'Another number…', act: () => setTyping(true) },
        ...(donor ? [{ key: '7', label: `Offcut: ${donor.name}`, act: () => void takeDonor() }] : []),
        { key: '9', label: 'All the rest as listed', act: rest },
        {
          key: 'Enter',
          label: short
            ? `Short: only ${amountWords(pick.have, line.unit)}`
            : `On the table: ${amountWords(line.needed, line.unit)}`,
          main: true,
          act: () => countIn(pick.have),
        },
      ];
  const remarkOf = () => {
    if (typing) return number.problem ?? 'Type what is really there, then Enter.';
    if (short)
      return (
        <strong role="alert">
          Short by {amountWords(line.needed - pick.have, line.unit)}. Counted short it is said again at the step that
          needs it.
        </strong>
      );
    if (pick.cautions.length > 0) return <strong>{pick.cautions.join('; ')}</strong>;
    return line.because || 'As the plan needs it.';
  };
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={remarkOf()}
      left={needsHand(bench, line.key)}
      crossing={
        <>
          <Fact>
            <dt>needed</dt>
            <dd>{amountWords(line.needed, line.unit)}</dd>
          </Fact>
          <Fact>
            <dt>in the stores</dt>
            <dd>{pick.state === 'not listed' ? 'not listed' : amountWords(pick.have, line.unit)}</dd>
          </Fact>
          <Fact>
            <dt>so it is</dt>
            <dd className="long">{stateWords[pick.state]}</dd>
          </Fact>
          {place && (
            <Fact>
              <dt>lies in</dt>
              <dd className="long">{place}</dd>
            </Fact>
          )}
          {use && (
            <Fact>
              <dt>for</dt>
              <dd className="long">{use}</dd>
            </Fact>
          )}
        </>
      }
      right={
        typing
          ? { title: 'what is there', note: 'type it, then Enter', body: <Typed state={number} /> }
          : countedHand(bench)
      }
    />
  );
}

function needsHand(bench: Bench, current: string): Hand {
  return { title: 'what the build needs', note: 'in picking order', body: <Needs bench={bench} current={current} /> };
}

function countedHand(bench: Bench): Hand {
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
          <span>{names.get(body.line)?.name ?? body.line}</span>
          <span>
            {amountWords(body.have, names.get(body.line)?.unit ?? 'pieces')}
            {body.have < body.wanted ? ', short' : ''}
          </span>
        </li>
      ))}
    </Lines>
  );
}
