/** A look with the magnifier at a row of joints, or into a plug. */
import type { Note, Step, TerminalRef } from '@junctor/core';
import { jointWords, modelIn, splitRef, stepWords } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { commonAnswers, whyAnswer } from './commonAnswers';
import { FindingsLine } from './FindingsLine';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

type LookStep = Extract<Step, { verb: 'look' }>;

export function LookView({ bench, step, setMode }: { bench: Bench; step: LookStep; setMode: SetMode }) {
  const [asking, setAsking] = useState(false);
  const { words } = bench.state;
  const subjects = step.plug ? [step.plug] : step.joints;
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
      [...subjects.filter((one) => one !== of).map((one) => grade(one, 'good')), grade(of, 'redo')],
      step.id,
    );
    setAsking(false);
  };
  const answers: Answer[] = asking
    ? [
        { key: 'Escape', label: 'Close', act: () => setAsking(false) },
        ...subjects
          .slice(0, 8)
          .map((of, index): Answer => ({
            key: String(index + 1),
            label: step.plug ? 'bent pin' : shortName(of),
            act: () => redo(of),
          })),
      ]
    : [
        ...commonAnswers(bench, setMode),
        { key: '2', label: step.plug ? 'Not right' : 'One is not good', act: () => setAsking(true) },
        whyAnswer(setMode),
        { key: 'Enter', label: step.plug ? 'No pin is bent' : `All ${subjects.length} good`, main: true, act: allGood },
      ];
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={answers}
      {...handsFor(bench, step)}
      sentence={<strong>{asking ? 'Which one is to be redone?' : stepWords(step, words)}</strong>}
      under={
        asking ? (
          subjects.map((of, index) => `${index + 1}: ${jointWords(of, words)}`).join('; ')
        ) : (
          <FindingsLine
            bench={bench}
            otherwise={
              step.against ??
              (step.plug
                ? 'Both ends, in good light. A bent pin puts the pack on a logic chip; no limiter is quick enough.'
                : 'Boards covered, flux off, offcuts counted. Both sides.')
            }
          />
        )
      }
      crossing={
        <>
          <Fact>
            <dt>{step.plug ? 'contacts' : 'joints'}</dt>
            <dd>{step.plug ? contactsOf(bench, step.plug) : subjects.length}</dd>
          </Fact>
          <Fact>
            <dt>if not</dt>
            <dd className="long">{step.plug ? 'straighten it, or do not mate it' : 'flux and a short reflow'}</dd>
          </Fact>
        </>
      }
    />
  );
}

/** How many contacts a plug (`ESC.J1`) has, by its part model. */
function contactsOf(bench: Bench, plug: string): number {
  const { slot, terminal } = splitRef(plug as TerminalRef);
  const model = modelIn(bench.state.words.build, slot, bench.catalogue);
  return model?.connectors.find(({ id }) => id === terminal)?.pins.length ?? 0;
}

function shortName(joint: string): string {
  return joint.replace(/\.[ab]$/, (end) => (end === '.a' ? ', near' : ''));
}
