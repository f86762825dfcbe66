/** Looking along the cord never records: any step, what it is and what has become of it. Enter goes back to now. */
import { stepWords } from '@junctor/core';
import type { Step } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { ferrule } from './commonAnswers';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

export function LookingView({ bench, index, setMode }: { bench: Bench; index: number; setMode: SetMode }) {
  const { steps } = bench.state;
  const step = steps[Math.min(index, steps.length - 1)]!;
  const look = (to: number) => setMode({ is: 'looking', index: Math.max(0, Math.min(steps.length - 1, to)) });
  const answers: Answer[] = [
    { key: '-', also: ['ArrowLeft'], label: 'Back', act: () => look(index - 1) },
    { key: '+', also: ['ArrowRight'], label: 'Ahead', act: () => look(index + 1) },
    { key: '[', label: 'Stretch before', act: () => look(ferrule(bench, index, -1)) },
    { key: ']', label: 'Stretch after', act: () => look(ferrule(bench, index, 1)) },
    { key: 'Escape', label: 'Back to now', hidden: true, act: () => setMode(work) },
    { key: 'Enter', label: 'Back to now', main: true, act: () => setMode(work) },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={answers}
      {...handsFor(bench, step)}
      sentence={<>Looking: {stepWords(step, bench.state)}</>}
      under={became(bench, step)}
      crossing={
        <Fact>
          <dt>this step</dt>
          <dd className="long">{step.done ? 'done' : (step.blockedReason ?? 'not done yet')}</dd>
        </Fact>
      }
    />
  );
}

function became(bench: Bench, step: Step): string {
  const records = bench.records.filter((record) => record.step === step.id || step.by.includes(record.id));
  const last = records.at(-1);
  if (!last) return 'Nothing recorded here yet. Looking records nothing.';
  return `Last record: ${last.person}, ${new Date(last.doneAt).toLocaleString('en-GB', { dateStyle: 'short', timeStyle: 'medium' })}. Looking records nothing.`;
}
