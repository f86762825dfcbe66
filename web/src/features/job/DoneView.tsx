/** Nothing open in this job: which checks passed, when, by whom. Never a word on whether the aircraft is safe. */
import { notesOf, ofJob, openFaults, padWords, terminalWords } from '@junctor/core';
import { useSend } from '../../api/queries';
import { useNavigate } from 'react-router';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import type { Hand } from '../../ui/Frame';
import { Proved } from './Proved';
import { commonAnswers } from './commonAnswers';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

/** The hands when no step is open. */
export function DoneHands(bench: Bench): { left: Hand; right: Hand } {
  return {
    left: { title: 'what was proved', note: 'by reading, look or sign', body: <Proved bench={bench} /> },
    right: { title: 'what no tool here can see', note: 'it stays open', body: <NotSeen bench={bench} /> },
  };
}

export function DoneView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const navigate = useNavigate();
  const { log } = bench.state;
  const own = ofJob(bench.job.id);
  const power = notesOf(log, 'power').findLast(own);
  const by = bench.records.find(({ id }) => id === power?.record.id);
  const readings = notesOf(log, 'reading')
    .filter(own)
    .filter(({ record }) => record.body.reading.verdict === 'pass').length;
  const close = useSend<{ id: string }>(({ id }) => `/jobs/${id}/close`, ['floor', 'quad', 'quads', 'job']);
  const faults = openFaults(log).length;
  const shut = () => close.mutate({ id: bench.job.id }, { onSuccess: () => void navigate('/') });
  const answers: Answer[] = [
    ...commonAnswers(bench, setMode),
    ...(bench.job.closedAt
      ? []
      : [{ key: '5', label: 'Close the job', act: shut, blocked: faults > 0 ? `${faults} faults are open` : null }]),
    { key: '6', label: 'Quad book', act: () => void navigate(`/quads/${bench.job.quadId}`) },
    { key: 'Enter', label: 'To the Floor', main: true, act: () => void navigate('/') },
  ];
  const underOf = () => {
    if (close.error) return `Not closed: ${close.error.message}`;
    if (by)
      return `Limited power: ${by.person}, ${new Date(by.doneAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}. This says what was checked, nothing more. Iron parked wetted, and off.`;
    return 'Nothing has been powered.';
  };
  return (
    <JobFrame
      bench={bench}
      shown={null}
      answers={answers}
      {...DoneHands(bench)}
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

function NotSeen({ bench }: { bench: Bench }) {
  const { target, touches } = bench.state;
  const pairs = touches.notProven.map(([a, b]) => `${terminalWords(a, target)} and ${padWords(b, target)}`);
  const lines = [
    'weak or cracked joints that still conduct',
    'logic wires exchanged between plugs',
    'regulators that stay silent',
    'turning sense of the motors',
    'whether the receiver is bound',
  ];
  return (
    <>
      <ul style={{ fontSize: 20, lineHeight: 1.5, paddingTop: 10 }}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p style={{ fontSize: 16, lineHeight: 1.3, paddingTop: 8 }}>
        <strong>{pairs.length} neighbouring pairs, contact not proven:</strong> {pairs.join('; ')}
      </p>
    </>
  );
}
