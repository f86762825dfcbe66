/** Take back the last record: it never happened. The record stays in the log; another one says so. */
import { entriesOf, isAct } from '@junctor/core';
import { recordWords } from '../book/recordWords';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { handsFor } from './hands';
import { DoneHands } from './DoneView';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

export function TakeBackView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { current, target } = bench.state;
  const inEffect = new Set(entriesOf(bench.state.log).map(({ record }) => record.id));
  const last = bench.records.filter(({ id, jobId }) => inEffect.has(id) && jobId === bench.job.id).at(-1);
  const takeBack = () => {
    if (last) bench.record([{ saw: 'taken back', reason: 'did not happen' }], last.step, last.id);
    setMode(work);
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'Leave it', act: () => setMode(work) },
    {
      key: 'Enter',
      label: 'Take it back',
      main: true,
      act: takeBack,
      blocked: last ? null : 'Nothing is recorded in this job',
    },
  ];
  const closes =
    last && isAct(last.body)
      ? 'Checks that stand on it will be asked again.'
      : 'Gates that stand on it will block again.';
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...(current ? handsFor(bench, current) : DoneHands(bench))}
      sentence={
        <>
          Take back: <strong>{last ? recordWords(last, target) : 'nothing'}</strong>
        </>
      }
      under={`${closes} The record itself stays in the book.`}
      crossing={
        <Fact>
          <dt>made by</dt>
          <dd className="long">{last ? `${last.person}, ${new Date(last.doneAt).toLocaleTimeString('en-GB')}` : ''}</dd>
        </Fact>
      }
    />
  );
}
