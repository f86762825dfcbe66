/** Problem: six big choices, then what to do about it. */
import type { Note } from '@junctor/core';
import { jointWords } from '@junctor/core';
import { capital } from '../../../ui/capital';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { useParams } from 'react-router';
import { shownHands } from './shownHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

const choices = ['bridge', 'pad lifted', 'will not flow', 'wrong part', 'wrong pad', 'other'] as const;

export function Problem() {
  const bench = useBench();
  const doors = useDoors();
  const { current } = bench.state;
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', act: () => doors.leave() },
    ...choices.map((choice, index): Answer => ({
      key: String(index + 1),
      label: choice,
      act: () => doors.open(doors.places.whatToDo(choice)),
    })),
  ];
  return (
    <JobFrame
      place="Problem"
      shown={current}
      answers={answers}
      {...shownHands(bench, current)}
      sentence={<strong>What is the problem?</strong>}
      under="Keys 1 to 6. Nothing is recorded until you say what to do about it."
      crossing={
        <Fact>
          <dt>last joint</dt>
          <dd className="long">{lastJointWords(bench)}</dd>
        </Fact>
      }
    />
  );
}

export function WhatToDo() {
  const { defect = 'other' } = useParams();
  const bench = useBench();
  const doors = useDoors();
  const { current, target } = bench.state;
  const joint = lastJoint(bench);
  const redo = () => {
    const look: Note = { saw: 'look', of: joint!, grade: 'redo', defects: [defect] };
    bench.record([look], current?.id ?? null);
    doors.leave();
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', act: () => doors.leave() },
    { key: '1', label: 'Redo the last joint', act: redo, blocked: joint ? null : 'No joint has been made yet' },
    { key: '2', label: 'Log a fault', act: () => doors.open(doors.places.fault(defect === 'other' ? '' : defect)) },
    { key: '3', label: 'Change the plan', act: () => doors.open(doors.places.wiring(joint)) },
    { key: '4', label: 'Take back the last record', act: () => doors.open(doors.places.takeBack) },
  ];
  return (
    <JobFrame
      place="Problem"
      shown={current}
      answers={answers}
      {...shownHands(bench, current)}
      sentence={
        <>
          <strong>{capital(defect)}</strong>: what is to be done?
        </>
      }
      under={joint ? `The last joint is ${jointWords(joint, target)}.` : 'No joint has been made yet.'}
      crossing={
        <Fact>
          <dt>last joint</dt>
          <dd className="long">{lastJointWords(bench)}</dd>
        </Fact>
      }
    />
  );
}

function lastJoint(bench: Bench): string | null {
  return bench.state.log.acts.flatMap(({ joints }) => joints).at(-1) ?? null;
}

function lastJointWords(bench: Bench): string {
  const joint = lastJoint(bench);
  return joint ? jointWords(joint, bench.state.target) : 'none yet';
}
