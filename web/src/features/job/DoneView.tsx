/** Nothing open in this job: which checks passed, when, by whom. Never a word on whether the aircraft is safe. */
import { notesOf } from '@junctor/core';
import { useNavigate } from 'react-router';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import type { Hand } from '../../ui/Frame';
import { Checklist } from './Checklist';
import { commonAnswers } from './commonAnswers';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

/** The hands when no step is open. */
export function DoneHands(bench: Bench): { left: Hand; right: Hand } {
  return {
    left: { title: 'what was proved', note: 'by reading, look or sign', body: <Checklist bench={bench} /> },
    right: { title: 'what no tool here can see', note: 'it stays open', body: <NotSeen bench={bench} /> },
  };
}

export function DoneView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const navigate = useNavigate();
  const { log } = bench.state;
  const power = notesOf(log, 'power').at(-1);
  const by = bench.records.find(({ id }) => id === power?.record.id);
  const readings = notesOf(log, 'reading').filter(({ record }) => record.body.reading.verdict === 'pass').length;
  const answers: Answer[] = [
    ...commonAnswers(bench, setMode),
    { key: '6', label: 'Quad book', act: () => void navigate(`/quads/${bench.job.quadId}`) },
    { key: 'Enter', label: 'To the Floor', main: true, act: () => void navigate('/') },
  ];
  return (
    <JobFrame
      bench={bench} shown={null} answers={answers} {...DoneHands(bench)}
      sentence={<strong>Every check planned here has passed, up to limited power</strong>}
      under={by ? `Limited power: ${by.person}, ${new Date(by.doneAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}. This says what was checked, nothing more.` : 'Nothing has been powered.'}
      crossing={<><Fact><dt>readings passed</dt><dd>{readings}</dd></Fact><Fact><dt>findings</dt><dd>{bench.state.findings.length}</dd></Fact><Fact><dt>faults logged</dt><dd>{notesOf(log, 'fault').length}</dd></Fact></>}
    />
  );
}

function NotSeen({ bench }: { bench: Bench }) {
  const pairs = bench.state.touches.notProven.length;
  const lines = [
    `${pairs} pairs of neighbouring pads: contact not proven`, 'weak or cracked joints that still conduct', 'logic wires exchanged between plugs',
    'regulators that stay silent', 'turning sense of the motors', 'whether the receiver is bound',
  ];
  return <ul style={{ fontSize: 21, lineHeight: 1.7, paddingTop: 14 }}>{lines.map((line) => <li key={line}>{line}</li>)}</ul>;
}
