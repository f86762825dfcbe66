/** A picture before something can no longer be seen, with the list of what comes off. */
import type { StepOf } from '@junctor/core';
import { isSameGroup, stepWords } from '@junctor/core';
import styled from 'styled-components';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { pictureRemark, usePicture } from '../usePicture';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { checklistHands } from '../../../bench/hands/checklistHands';
import type { StepScreen } from './stepScreen';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

const List = styled.ol`
  font-size: 17px;
  line-height: 24px;
  padding-top: 8px;
  li {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;
const most = 13;

export const picture: StepScreen<StepOf<'picture'>> = { hands: checklistHands, Screen: PictureScreen };

function PictureScreen({ step }: { step: StepOf<'picture'> }) {
  const bench = useBench();
  const doors = useDoors();
  const taking = usePicture(`Picture of ${step.about.of}`, (blob) =>
    bench.record([{ saw: 'picture', of: step.subject, blob }], step.id),
  );
  const { steps } = bench.state;
  const off = steps.filter(({ group, id }) => isSameGroup(group, step.group) && id !== step.id);
  const answers: Answer[] = [
    ...commonAnswers(bench, doors).filter(({ key }) => key !== '+'),
    whyAnswer(doors),
    {
      key: '+',
      label: 'Without one',
      act: () => bench.record([{ saw: 'skip', step: step.id, reason: 'no picture taken' }], step.id),
    },
    {
      key: 'Enter',
      also: ['k'],
      label: 'Take it',
      main: true,
      act: taking.take,
      blocked: taking.keeping ? 'keeping it' : null,
    },
  ];
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={pictureRemark(taking, 'Which wire was where is never so clear again. It stays with the quad.')}
      left={{
        title: 'what comes off',
        note: 'in this order',
        body: (
          <List aria-label="What comes off">
            {off.slice(0, most).map((step) => (
              <li key={step.id}>{stepWords(step, bench.state)}</li>
            ))}
            {off.length > most && <li>and {off.length - most} more</li>}
          </List>
        ),
      }}
      crossing={
        <Fact>
          <dt>to come off</dt>
          <dd>{off.length} steps</dd>
        </Fact>
      }
      right={{
        title: 'the picture',
        note: 'from the camera, or a file',
        body: taking.field,
      }}
    />
  );
}
