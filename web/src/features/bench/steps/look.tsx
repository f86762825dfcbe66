/** A look with the magnifier at a row of joints, or into a plug. What is not good is said: which joint, what, where. */
import type { Note, StepOf } from '@junctor/core';
import { lookedAt, stepWords } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { FindingsLine } from '../../../bench/frame/FindingsLine';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { rowHands } from '../../../bench/hands/jointHands';
import { plugHands } from '../../../bench/hands/plugHands';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { NotGood } from '../look/NotGood';
import type { StepScreen } from './stepScreen';

export const look: StepScreen<StepOf<'look'>> = {
  hands: (bench, { about }) =>
    about.kind === 'plug' ? plugHands(bench, about.slot, about.connector) : rowHands(bench, about.joints),
  Screen: LookScreen,
};

function LookScreen({ step }: { step: StepOf<'look'> }) {
  const bench = useBench();
  const doors = useDoors();
  const [asking, setAsking] = useState(false);
  const subjects = lookedAt(step);
  const plug = step.about.kind === 'plug' ? step.about : null;
  const good = (of: string): Note => ({ saw: 'look', of, grade: 'good', defects: [] });
  const hands = look.hands(bench, step);
  if (asking)
    return (
      <NotGood
        step={step}
        hands={hands}
        onClose={() => setAsking(false)}
        onSaid={(of, defects) => {
          const rest = subjects.filter((subject) => subject !== of).map(good);
          bench.record([...rest, { saw: 'look', of, grade: 'redo', defects }], step.id);
          setAsking(false);
        }}
      />
    );
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    { key: '2', label: plug ? 'Not right' : 'One is not good', act: () => setAsking(true) },
    whyAnswer(doors),
    {
      key: 'Enter',
      label: plug ? 'No pin is bent' : `All ${subjects.length} good`,
      main: true,
      act: () => bench.record(subjects.map(good), step.id),
    },
  ];
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      {...hands}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={
        <FindingsLine
          otherwise={
            step.blockedReason ??
            (plug
              ? 'Both ends, in good light; each contact fully home. A bent pin puts the pack on a logic chip.'
              : 'Boards covered, flux off, offcuts counted. Both sides.')
          }
        />
      }
      crossing={
        <>
          <Fact>
            <dt>{plug ? 'contacts' : 'joints'}</dt>
            <dd>{plug ? contactsOf(bench, plug) : subjects.length}</dd>
          </Fact>
          <Fact>
            <dt>if not</dt>
            <dd className="long">{plug ? 'straighten it, or do not mate it' : 'flux and a short reflow'}</dd>
          </Fact>
        </>
      }
    />
  );
}

/** How many contacts a plug has, by its part model. */
function contactsOf(bench: Bench, { slot, connector }: { slot: string; connector: string }): number {
  return bench.state.target.connector(slot, connector)?.pins.length ?? 0;
}
