/**
 * A power-up that ended without its signs: what was expected, what was seen, what that can mean, and the way to look
 * into it.
 */
import type { Step, StoppedPower } from '@junctor/core';
import { signId, signWords } from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { BigLines } from '../../../ui/BigLines';
import { SignList } from './SignList';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

interface PowerStoppedProps {
  step: Step;
  stopped: StoppedPower;
  /** Back to the steps: power is asked for again with everything that it stands on. */
  onLeave: () => void;
}

export function PowerStopped({ step, stopped, onLeave }: PowerStoppedProps) {
  const bench = useBench();
  const doors = useDoors();
  const { power, seen, missing, meaning } = stopped;
  const { endedBy, onS, packV } = power.record.body;
  const all = seen.length + missing.length;
  const expected = [...seen, ...missing];
  const heat = endedBy === 'heat';
  const symptom = heat
    ? 'Heat or smell at first power'
    : `At first power not there: ${missing.map((sign) => signWords(sign, expected)).join('; ')}`;
  const answers: Answer[] = [
    { key: '0', also: ['Escape'], label: 'Once more, from the checks', act: onLeave },
    { key: 'Enter', label: 'Log the fault', main: true, act: () => doors.open(doors.places.fault(symptom)) },
  ];
  const signs = [...seen, ...missing].sort((a, b) => a.sign.afterS - b.sign.afterS);
  return (
    <JobFrame
      place="First power"
      shown={step}
      answers={answers}
      sentence={
        <>
          <strong>Power stays off.</strong>{' '}
          {heat ? 'Something grew hot or smelled' : `${missing.length} of ${all} signs did not show`}
        </>
      }
      under={
        <strong role="alert">
          Pack off the quad. Limited power opens again only when every check before it holds.
        </strong>
      }
      left={{
        title: 'what was expected',
        note: `${seen.length} of ${all} were seen`,
        body: <SignList signs={signs} seen={new Set(seen.map(signId))} at={null} />,
      }}
      right={{
        title: 'what that can mean',
        note: 'likeliest first',
        body: <BigLines label="What that can mean" lines={meaning} />,
      }}
      crossing={
        <>
          <Fact>
            <dt>powered</dt>
            <dd>{onS} s</dd>
          </Fact>
          <Fact>
            <dt>pack</dt>
            <dd>{packV} V</dd>
          </Fact>
          <Fact>
            <dt>by</dt>
            <dd className="long">{bench.records.find(({ id }) => id === power.record.id)?.person ?? ''}</dd>
          </Fact>
        </>
      }
    />
  );
}
