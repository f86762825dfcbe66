/** The kit table: one line of the pick list at a time, with where it lies and whether it is enough. */
import type { StepOf } from '@junctor/core';
import { amountWords, kitUse, offcutsFor, possible, insteadFor, pickFor, stepWords, takesFor } from '@junctor/core';
import { useParts, useStock } from '../../../api/stores';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { countedHand, needsHand } from '../kit/kitHands';
import { useCuts } from '../kit/useCuts';
import { commonAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import { Typed, usePrompts } from '../prompts/Prompts';
import { useState } from 'react';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

const stateWords = { enough: 'enough', short: 'short', used: 'enough, used', 'not listed': 'count by eye' } as const;

export const count: StepScreen<StepOf<'count'>> = {
  hands: (bench, { line }) => ({ left: needsHand(bench, line.key), right: countedHand(bench) }),
  Screen: CountScreen,
};

/** Of wire the cut list says first what offcuts give. */
function CountScreen({ step }: { step: StepOf<'count'> }) {
  return step.line.kind === 'wire' ? <WireCounting step={step} /> : <Counting step={step} offcuts={null} />;
}

function WireCounting({ step }: { step: StepOf<'count'> }) {
  const cuts = useCuts();
  if (!cuts || cuts === 'no frame' || !cuts.list) return <Counting step={step} offcuts={null} />;
  const { mm, from } = offcutsFor(cuts.list, step.line.key);
  const places = from.map((id) => cuts.stock.get(id)?.place ?? '').filter(Boolean);
  return <Counting step={step} offcuts={mm > 0 ? { mm, count: from.length, places: [...new Set(places)] } : null} />;
}

interface CountingProps {
  step: StepOf<'count'>;
  /** What is cut from offcuts, of how many, and where they lie. */
  offcuts: { mm: number; count: number; places: readonly string[] } | null;
}

function Counting({ step, offcuts }: CountingProps) {
  const bench = useBench();
  const doors = useDoors();
  const { line } = step;
  const stock = useStock();
  const parts = useParts('');
  const [typing, setTyping] = useState(false);
  const inShop = (parts.data ?? []).filter(({ onQuad }) => onQuad === null);
  const pick = pickFor(line, stock.data ?? [], inShop, offcuts?.mm);
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
  const short = pick.state === 'short';
  const instead = short ? insteadFor(line, stock.data ?? []) : null;
  const takeInstead = () =>
    instead &&
    bench.record(
      [
        {
          saw: 'kit',
          line: line.key,
          wanted: line.needed,
          have: line.needed,
          takes: [{ stock: instead.id, quantity: line.needed }],
          parts: [],
          instead: instead.name,
        },
      ],
      step.id,
    );
  const common = commonAnswers(bench, doors).filter(({ key }) => !typing || key === '*');
  const use = kitUse(line, bench.state.steps, bench.state.target);
  const answers: Answer[] = typing
    ? [...common, { key: 'Escape', label: 'Not that', act: () => setTyping(false) }, ...number.answers]
    : [
        ...common,
        { key: '5', label: 'Another number…', act: () => setTyping(true) },
        ...(donor ? [{ key: '7', label: `Offcut: ${donor.name}`, act: () => void takeDonor() }] : []),
        ...(instead ? [{ key: '6', label: `Instead: ${instead.name}`, act: () => void takeInstead() }] : []),
        ...(line.kind === 'wire' ? [{ key: 'c', label: 'Cut list', act: () => doors.open(doors.places.cuts) }] : []),
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
          {offcuts && (
            <Fact>
              <dt>from {offcuts.count === 1 ? 'an offcut' : `${offcuts.count} offcuts`}</dt>
              <dd className="long">
                {amountWords(offcuts.mm, line.unit)}
                {offcuts.places.length > 0 ? `: ${offcuts.places.join(', ')}` : ''}
              </dd>
            </Fact>
          )}
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
