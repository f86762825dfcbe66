/** Why this step, why now, what it opens. */
import { stepWords, whyNow } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

export function WhyView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { steps, gates, current } = bench.state;
  if (!current) return null;
  const gate = gates.find(({ id }) => id === current.stretch)!;
  const next = steps[steps.indexOf(current) + 1];
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', hidden: true, act: () => setMode(work) },
    { key: 'Enter', label: 'Back to the step', main: true, act: () => setMode(work) },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...handsFor(bench, current)}
      sentence={
        <>
          Why now: <strong>{whyNow(current)}</strong>
        </>
      }
      under={`Then: ${next ? stepWords(next, bench.state) : 'nothing more'}. The gate ${gate.id} still wants ${gate.missing.length} of its steps.`}
      crossing={
        <>
          <Fact>
            <dt>gate</dt>
            <dd className="long">{gate.id}</dd>
          </Fact>
          <Fact>
            <dt>school</dt>
            <dd className="long">limited power once, at the end</dd>
          </Fact>
        </>
      }
    />
  );
}
