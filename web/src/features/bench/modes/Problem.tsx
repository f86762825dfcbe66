/** Problem: six big choices, then what to do about it, at the joint that is meant. */
import type { Note } from '@junctor/core';
import { capital, jointPlace, jointWords, landedOn, splitJoint, workOf } from '@junctor/core';
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
    { key: '7', label: 'Find it', act: () => doors.open(doors.places.find) },
  ];
  return (
    <JobFrame
      place="Problem"
      shown={current}
      answers={answers}
      {...shownHands(bench, current)}
      sentence={<strong>What is the problem?</strong>}
      under="Nothing is recorded until you say what to do about it."
      crossing={<Meant bench={bench} joint={jointsMeant(bench)[0] ?? null} />}
    />
  );
}

/** So many joints are offered for rework. */
const offered = 3;

export function WhatToDo() {
  const { defect = 'other' } = useParams();
  const bench = useBench();
  const doors = useDoors();
  const { current, asBuilt } = bench.state;
  const joints = jointsMeant(bench).slice(0, offered);
  const redo = (joint: string) => {
    const look: Note = { saw: 'look', of: joint, grade: 'redo', defects: [defect] };
    bench.record([look], current?.id ?? null);
    doors.leave();
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', act: () => doors.leave() },
    ...joints.map((joint, index): Answer => ({
      key: String(index + 1),
      label: `Redo ${jointPlace(joint, asBuilt)}`,
      act: () => redo(joint),
    })),
    { key: '5', label: 'Log a fault', act: () => doors.open(doors.places.fault(defect === 'other' ? '' : defect)) },
    { key: '6', label: 'Change the plan', act: () => doors.open(doors.places.wiring(joints[0] ?? null)) },
    { key: '7', label: 'Take back the last record', act: () => doors.open(doors.places.takeBack) },
    { key: '9', label: 'Find it', act: () => doors.open(doors.places.find) },
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
      under={
        joints.length > 0
          ? `Meant is ${jointWords(joints[0]!, asBuilt)}, unless another is chosen.`
          : 'No joint has been made here yet.'
      }
      crossing={<Meant bench={bench} joint={joints[0] ?? null} />}
    />
  );
}

/** Joints that can be meant, likeliest first: that of the step, those just looked at, the last ones made. */
function jointsMeant({ job, state: { current, log, asBuilt } }: Bench): string[] {
  const own = current?.about.kind === 'joint' ? [current.subject] : [];
  const looked = current?.about.kind === 'joints' ? current.about.joints : [];
  const made = workOf(log, job.id)
    .flatMap(({ joints }) => joints)
    .reverse();
  return [...new Set([...own, ...made.filter((joint) => looked.includes(joint)), ...looked, ...made])].filter(
    (joint) => {
      const parts = splitJoint(joint);
      const end = parts && asBuilt.build.wires[parts.wire]?.ends[parts.end];
      return Boolean(end && landedOn(end) && end.by === 'solder');
    },
  );
}

function Meant({ bench, joint }: { bench: Bench; joint: string | null }) {
  return (
    <Fact>
      <dt>meant is</dt>
      <dd className="long">{joint ? jointWords(joint, bench.state.asBuilt) : 'no joint yet'}</dd>
    </Fact>
  );
}
