/** Nothing open in this job: which checks passed, when, by whom. Never a word on whether the aircraft is safe. */
import { notesOf, ofJob, openFaults } from '@junctor/core';
import { useSend } from '../../../api/queries';
import { keys } from '../../../api/keys';
import { useNavigate } from 'react-router';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { doneHands } from './doneHands';
import { places } from '../../../addresses';
import { whenWords } from '../../../ui/when';
import { commonAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export function Done() {
  const bench = useBench();
  const doors = useDoors();
  const navigate = useNavigate();
  const { log } = bench.state;
  const own = ofJob(bench.job.id);
  const power = notesOf(log, 'power').findLast(own);
  const by = bench.records.find(({ id }) => id === power?.record.id);
  const readings = notesOf(log, 'reading')
    .filter(own)
    .filter(({ record }) => record.body.reading.verdict === 'pass').length;
  const close = useSend<{ id: string }>(
    ({ id }) => `/jobs/${id}/close`,
    [keys.floor, keys.quad(), keys.quads(), keys.job()],
  );
  const faults = openFaults(log).length;
  const shut = () => close.mutate({ id: bench.job.id }, { onSuccess: () => void navigate(places.floor) });
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    ...(bench.job.closedAt
      ? []
      : [{ key: '5', label: 'Close the job', act: shut, blocked: faults > 0 ? `${faults} faults are open` : null }]),
    { key: '6', label: 'Quad book', act: () => void navigate(places.quadBook(bench.job.quadId)) },
    { key: 'Enter', label: 'To the Floor', main: true, act: () => void navigate(places.floor) },
  ];
  const underOf = () => {
    if (close.error) return `Not closed: ${close.error.message}`;
    if (by)
      return `Limited power: ${by.person}, ${whenWords(by.doneAt)}. This says what was checked, nothing more. Iron parked wetted, and off.`;
    return 'Nothing has been powered.';
  };
  return (
    <JobFrame
      place="Done"
      shown={null}
      answers={answers}
      {...doneHands(bench)}
      sentence={<strong>Every check planned here has passed, up to limited power</strong>}
      under={underOf()}
      crossing={
        <>
          <Fact>
            <dt>readings passed</dt>
            <dd>{readings}</dd>
          </Fact>
          <Fact>
            <dt>findings</dt>
            <dd>{bench.state.findings.length}</dd>
          </Fact>
          <Fact>
            <dt>faults logged</dt>
            <dd>{notesOf(log, 'fault').filter(own).length}</dd>
          </Fact>
        </>
      }
    />
  );
}
