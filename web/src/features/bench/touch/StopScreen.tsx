/** A reading that no good build shows: what it was, where it can come from, and the way on. */
import type { Assembly, Note, Reading, StepOf } from '@junctor/core';
import { jointWords, splitJoint, suspectJoints, terminalWords, passesWords, toneWords, wireWords } from '@junctor/core';
import styled from 'styled-components';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers } from '../commonAnswers';
import { probeHands } from '../../../bench/hands/probeHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { JobFrame } from '../../../bench/frame/JobFrame';

const Suspects = styled.ol`
  padding-top: 14px;
  display: grid;
  gap: 14px;
  font-size: 21px;
  kbd {
    font: inherit;
    font-weight: 700;
    padding-right: 12px;
  }
`;

export interface StopProps {
  step: StepOf<'touch'>;
  reading: Reading;
  onRetry: () => void;
}

export function StopScreen({ step, reading, onRetry }: StopProps) {
  const bench = useBench();
  const doors = useDoors();
  const { target, asBuilt } = bench.state;
  const { touch, heard, expected } = reading;
  const suspects = suspectJoints(reading, asBuilt).slice(0, 5);
  const rework = (joint: string) => {
    const look: Note = {
      saw: 'look',
      of: joint,
      grade: 'redo',
      defects: [`reading ${terminalWords(touch.black, target)} to ${terminalWords(touch.red, target)}`],
    };
    bench.record([look], step.id);
  };
  const symptom = `${terminalWords(touch.black, target)} to ${terminalWords(touch.red, target)}: ${toneWords(heard.length ?? 'none')} instead of ${passesWords(expected.passes)}`;
  const answers: Answer[] = [
    ...commonAnswers(bench, doors).filter(({ key }) => key !== '*'),
    { key: '*', also: ['p'], label: 'Log a fault', act: () => doors.open(doors.places.fault(symptom)) },
    ...suspects.map((joint, index): Answer => ({
      key: String(index + 1),
      label: `Rework ${suspectWords(joint, asBuilt)}`,
      act: () => rework(joint),
    })),
    { key: '0', label: 'Touch again', act: onRetry },
  ];
  const list = (
    <Suspects aria-label="Where it can come from">
      {suspects.map((joint, index) => (
        <li key={joint}>
          <kbd>{index + 1}</kbd>
          {jointWords(joint, target)}
        </li>
      ))}
      {suspects.length === 0 && <li>No joint of this build lies on the way: look at the parts themselves.</li>}
    </Suspects>
  );
  return (
    <JobFrame
      place="Continuity"
      shown={step}
      answers={answers}
      left={probeHands(bench, touch).left}
      right={{
        title: 'where it can come from',
        note: 'choose one to rework; every reading on it is asked again',
        body: list,
      }}
      sentence={
        <>
          <strong>Stop.</strong> {terminalWords(touch.black, target)} to {terminalWords(touch.red, target)}:{' '}
          {toneWords(heard.length ?? 'none')}
        </>
      }
      under={
        <strong role="alert">
          A good build shows “{passesWords(expected.passes)}”. Limited power stays closed until this reads right.
        </strong>
      }
      crossing={
        <>
          <Fact>
            <dt>expected</dt>
            <dd>{passesWords(expected.passes)}</dd>
          </Fact>
          <Fact>
            <dt>heard</dt>
            <dd>{toneWords(heard.length ?? 'none')}</dd>
          </Fact>
        </>
      }
    />
  );
}

/** "lead B of motor M4". */
function suspectWords(joint: string, asBuilt: Assembly): string {
  const wire = asBuilt.build.wires[splitJoint(joint)!.wire];
  return wire ? wireWords(wire, asBuilt) : joint;
}
