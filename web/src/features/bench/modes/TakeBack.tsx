/** Take back the last record: it never happened. The record stays in the log; another one says so. */
import { entriesOf, isAct, recordWords } from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { whenWords } from '../../../ui/when';
import { shownHands } from './shownHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export function TakeBack() {
  const bench = useBench();
  const doors = useDoors();
  const { current } = bench.state;
  const inEffect = new Set(entriesOf(bench.state.log).map(({ record }) => record.id));
  const last = bench.records.filter(({ id, jobId }) => inEffect.has(id) && jobId === bench.job.id).at(-1);
  const takeBack = () => {
    if (last) bench.record([{ saw: 'taken back', reason: 'did not happen' }], last.step, last.id);
    doors.leave();
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'Leave it', act: () => doors.close() },
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
      place="Take back"
      shown={current}
      answers={answers}
      {...shownHands(bench, current)}
      sentence={
        <>
          Take back: <strong>{last ? recordWords(last, bench.before(last.id)) : 'nothing'}</strong>
        </>
      }
      under={`${closes} The record itself stays in the book.`}
      crossing={
        <Fact>
          <dt>made by</dt>
          <dd className="long">{last ? `${last.person}, ${whenWords(last.doneAt)}` : ''}</dd>
        </Fact>
      }
    />
  );
}
