/** A reading that no good build shows: what it was, what it can be, and the way on. */
import type { Note, Reading, StepOf } from '@junctor/core';
import { expectedWords, faultWords, heardWords, terminalWords } from '@junctor/core';
import styled from 'styled-components';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers } from '../commonAnswers';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { causeHand } from './causeHand';
import { jointsOf, suspectedJoints } from './causePlaces';
import { useCauses } from './useCauses';

const Causes = styled.ol`
  padding-top: 14px;
  display: grid;
  gap: 12px;
  font-size: 20px;
  line-height: 1.25;
  kbd {
    font: inherit;
    font-weight: 700;
    padding-right: 12px;
  }
  small {
    display: block;
    font-size: 16px;
    color: ${({ theme }) => theme.quiet};
  }
`;

export interface StopProps {
  step: StepOf<'touch'>;
  reading: Reading;
  onRetry: () => void;
}

/** As many as have a key and room. */
const shownAtMost = 5;

export function StopScreen({ step, reading, onRetry }: StopProps) {
  const bench = useBench();
  const doors = useDoors();
  const found = useCauses(step, reading);
  const { target, asBuilt } = bench.state;
  const { touch, heard, expected } = reading;
  const between = `${terminalWords(touch.black, target)} to ${terminalWords(touch.red, target)}`;
  const symptom = `${between}: ${heardWords(heard)} instead of ${expectedWords(expected)}`;
  const fault = () => doors.open(doors.places.fault(symptom));
  const rework = (joints: readonly string[]) => {
    const looks = joints.map((of): Note => ({ saw: 'look', of, grade: 'redo', defects: [`reading ${between}`] }));
    bench.record(looks, step.id);
  };
  const causes = found && found.length === 0 ? suspectedJoints(reading, asBuilt) : (found ?? []);
  const shown = causes.slice(0, shownAtMost).map((cause) => ({ ...cause, joints: jointsOf(cause.site, asBuilt) }));
  const more = causes.length - shown.length;
  const answers: Answer[] = [
    ...commonAnswers(bench, doors).filter(({ key }) => key !== '*'),
    { key: '*', also: ['p'], label: 'Log a fault', act: fault },
    ...shown.map(({ joints, kind }, index): Answer => ({
      key: String(index + 1),
      label: joints.length > 0 ? `Rework: ${kind}` : `Log it: ${kind}`,
      act: () => (joints.length > 0 ? rework(joints) : fault()),
    })),
    { key: '0', label: 'Touch again', act: onRetry },
  ];
  const list = (
    <Causes aria-label="What it can be">
      {found === undefined && <li>Trying every fault that would read so.</li>}
      {shown.map(({ kind, site, because }, index) => (
        <li key={`${kind} ${JSON.stringify(site)}`}>
          <kbd>{index + 1}</kbd>
          {faultWords({ kind, site }, target)}
          {kind !== shown[index - 1]?.kind && <small>{because}</small>}
        </li>
      ))}
      {more > 0 && <li>and {more} more that come about less often</li>}
      {found && causes.length === 0 && <li>No single fault of this wiring reads so: look at the parts themselves.</li>}
    </Causes>
  );
  return (
    <JobFrame
      place="Continuity"
      shown={step}
      answers={answers}
      left={causeHand(bench, touch, shown)}
      right={{
        title: 'what it can be',
        note: found?.length === 0 ? 'no single fault reads so: joints on the way' : 'the most frequent first',
        body: list,
      }}
      sentence={
        <>
          <strong>Stop.</strong> {between}: {heardWords(heard)}
        </>
      }
      under={
        <strong role="alert">
          A good build shows “{expectedWords(expected)}”. Limited power stays closed until this reads right.
        </strong>
      }
      crossing={
        <>
          <Fact>
            <dt>expected</dt>
            <dd className="long">{expectedWords(expected)}</dd>
          </Fact>
          <Fact>
            <dt>heard</dt>
            <dd className="long">{heardWords(heard)}</dd>
          </Fact>
        </>
      }
    />
  );
}
