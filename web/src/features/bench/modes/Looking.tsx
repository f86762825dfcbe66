/** Looking along the cord never records: any step, what it is and what has become of it. Enter goes back to now. */
import { stepWords } from '@junctor/core';
import type { Step } from '@junctor/core';
import { useParams } from 'react-router';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { NotHere } from '../../../bench/frame/NotHere';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { whenWords } from '../../../ui/when';
import { ferrule, stepAt } from '../commonAnswers';
import { shownHands } from './shownHands';

export function Looking() {
  const { stepId } = useParams();
  const { steps } = useBench().state;
  const index = steps.findIndex(({ id }) => id === stepId);
  if (index < 0)
    return (
      <NotHere
        what="This job has no such step"
        why="The plan may have changed since. Its records are in the quad book."
      />
    );
  return <LookingAt index={index} />;
}

function LookingAt({ index }: { index: number }) {
  const bench = useBench();
  const { places, walk, leave } = useDoors();
  const { steps } = bench.state;
  const step = steps[index]!;
  const look = (to: number) => walk(places.step(stepAt(steps, to).id));
  const answers: Answer[] = [
    { key: '-', also: ['ArrowLeft'], label: 'Back', act: () => look(index - 1) },
    { key: '+', also: ['ArrowRight'], label: 'Ahead', act: () => look(index + 1) },
    { key: '[', label: 'Stretch before', act: () => look(ferrule(steps, index, -1)) },
    { key: ']', label: 'Stretch after', act: () => look(ferrule(steps, index, 1)) },
    { key: 'Enter', also: ['Escape'], label: 'Back to now', main: true, act: () => leave(places.now) },
  ];
  return (
    <JobFrame
      place="Looking"
      shown={step}
      answers={answers}
      {...shownHands(bench, step)}
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
  const last = bench.records.findLast((record) => record.step === step.id || step.by.includes(record.id));
  if (!last) return 'Nothing recorded here yet. Looking records nothing.';
  return `Last record: ${last.person}, ${whenWords(last.doneAt)}. Looking records nothing.`;
}
