/** Problem: six big choices, then what to do about it. */
import type { Note } from '@junctor/core';
import { jointWords, splitJoint } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { handsFor } from './hands';
import { DoneHands } from './DoneView';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

const choices = ['bridge', 'pad lifted', 'will not flow', 'wrong part', 'wrong pad', 'other'] as const;

export function ProblemView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { current } = bench.state;
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', act: () => setMode(work) },
    ...choices.map((choice, index): Answer => ({
      key: String(index + 1),
      label: choice,
      act: () => setMode({ is: 'what to do', defect: choice }),
    })),
  ];
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...(current ? handsFor(bench, current) : DoneHands(bench))}
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

export function WhatToDoView({ bench, defect, setMode }: { bench: Bench; defect: string; setMode: SetMode }) {
  const { current, target } = bench.state;
  const joint = lastJoint(bench);
  const redo = () => {
    const look: Note = { saw: 'look', of: joint!, grade: 'redo', defects: [defect] };
    bench.record([look], current?.id ?? null);
    setMode(work);
  };
  const wire = (joint && splitJoint(joint)?.wire) ?? null;
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', act: () => setMode(work) },
    { key: '1', label: 'Redo the last joint', act: redo, blocked: joint ? null : 'No joint has been made yet' },
    { key: '2', label: 'Log a fault', act: () => setMode({ is: 'fault', symptom: defect === 'other' ? '' : defect }) },
    { key: '3', label: 'Change the plan', act: () => setMode({ is: 'wiring', wire }) },
    { key: '4', label: 'Take back the last record', act: () => setMode({ is: 'take back' }) },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...(current ? handsFor(bench, current) : DoneHands(bench))}
      sentence={
        <>
          <strong>{defect.charAt(0).toUpperCase() + defect.slice(1)}</strong>: what is to be done?
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
