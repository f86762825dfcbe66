/** A look with the magnifier at a row of joints, or into a plug. */
import type { Note, StepOf } from '@junctor/core';
import { jointWords, lookedAt, splitJoint, stepWords } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { FindingsLine } from '../../../bench/frame/FindingsLine';
import { rowHands } from '../../../bench/hands/jointHands';
import { plugHands } from '../../../bench/hands/plugHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { StepScreen } from './stepScreen';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export const look: StepScreen<StepOf<'look'>> = {
  hands: (bench, { about }) =>
    about.kind === 'plug' ? plugHands(bench, about.slot, about.connector) : rowHands(bench, about.joints),
  Screen: LookScreen,
};

function LookScreen({ step }: { step: StepOf<'look'> }) {
  const bench = useBench();
  const doors = useDoors();
  const [asking, setAsking] = useState(false);
  const { target } = bench.state;
  const subjects = lookedAt(step);
  const plug = step.about.kind === 'plug' ? step.about : null;
  const grade = (of: string, as: 'good' | 'redo'): Note => ({
    saw: 'look',
    of,
    grade: as,
    defects: as === 'redo' ? ['seen with the magnifier'] : [],
  });
  const allGood = () =>
    bench.record(
      subjects.map((of) => grade(of, 'good')),
      step.id,
    );
  const redo = (of: string) => {
    bench.record(
      [...subjects.filter((subject) => subject !== of).map((subject) => grade(subject, 'good')), grade(of, 'redo')],
      step.id,
    );
    setAsking(false);
  };
  const answers: Answer[] = asking
    ? [
        { key: 'Escape', label: 'Close', act: () => setAsking(false) },
        ...subjects.slice(0, 8).map((of, index): Answer => ({
          key: String(index + 1),
          label: plug ? 'bent pin' : shortName(of),
          act: () => redo(of),
        })),
      ]
    : [
        ...commonAnswers(bench, doors),
        { key: '2', label: plug ? 'Not right' : 'One is not good', act: () => setAsking(true) },
        whyAnswer(doors),
        { key: 'Enter', label: plug ? 'No pin is bent' : `All ${subjects.length} good`, main: true, act: allGood },
      ];
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      {...look.hands(bench, step)}
      sentence={<strong>{asking ? 'Which one is to be redone?' : stepWords(step, bench.state)}</strong>}
      under={
        asking ? (
          subjects.map((of, index) => `${index + 1}: ${jointWords(of, target)}`).join('; ')
        ) : (
          <FindingsLine
            otherwise={
              step.blockedReason ??
              (plug
                ? 'Both ends, in good light. A bent pin puts the pack on a logic chip; no limiter is quick enough.'
                : 'Boards covered, flux off, offcuts counted. Both sides.')
            }
          />
        )
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

function shortName(joint: string): string {
  const parts = splitJoint(joint);
  if (!parts) return joint;
  return parts.end === 0 ? `${parts.wire}, near` : parts.wire;
}
