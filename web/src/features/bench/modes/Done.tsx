/** Nothing open in this job: which checks passed, when, by whom. Never a word on whether the aircraft is safe. */
import { notesOf, ofJob, openFaults, stepWords } from '@junctor/core';
import { useSend } from '../../../api/queries';
import { keys } from '../../../api/keys';
import { allStored } from '../../../api/outbox';
import { useNavigate } from 'react-router';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { doneHands } from './doneHands';
import { places } from '../../../addresses';
import { whenWords } from '../../../ui/when';
import { commonAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
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
  const against = closingAgainst(bench, faults);
  // The last record may be on its way still: it goes first.
  const shut = () =>
    void allStored().then(() => close.mutate({ id: bench.job.id }, { onSuccess: () => void navigate(places.floor) }));
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    { key: '4', label: 'The sheet', act: () => doors.open(doors.places.sheet) },
    { key: '6', label: 'Quad book', act: () => void navigate(places.quadBook(bench.job.quadId)) },
    ...(bench.job.closedAt
      ? [{ key: 'Enter', label: 'To the Floor', main: true, act: () => void navigate(places.floor) }]
      : [{ key: 'Enter', also: ['5'], label: 'Close the job', main: true, act: shut, blocked: against }]),
  ];
  const underOf = () => {
    if (against) return <strong role="alert">Close is dim: {against}.</strong>;
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
      sentence={<strong>{sentenceOf(bench)}</strong>}
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

/** Why the job cannot be closed now, in words; null when it can. */
function closingAgainst({ state }: Bench, faults: number): string | null {
  if (state.short) return 'a short stands between + and −';
  if (faults > 0) return `${faults} ${faults === 1 ? 'fault is' : 'faults are'} open`;
  return state.current ? `next is: ${stepWords(state.current, state)}` : null;
}

function sentenceOf({ job, state }: Bench): string {
  if (state.short) return 'Short between + and −. No battery.';
  if (job.closedAt !== null) return `This job was closed ${whenWords(job.closedAt)}`;
  return 'Everything of this job is done: close it';
}
