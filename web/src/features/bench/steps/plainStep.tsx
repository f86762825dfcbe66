/** The screen of work that is simply done or not: put a part in place, mate a plug, rework a joint, say a caution. */
import type { Act, Note, Step } from '@junctor/core';
import { stepWords } from '@junctor/core';
import type { ReactNode } from 'react';
import { FindingsLine } from '../../../bench/frame/FindingsLine';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import type { Doors } from '../../../bench/provider/useDoors';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { commonAnswers, notNow, whyAnswer } from '../commonAnswers';
import type { StepScreen } from './stepScreen';

interface PlainStep<S extends Step> extends Pick<StepScreen<S>, 'hands'> {
  /** What to mind while doing it. */
  hint: (step: S, bench: Bench) => string;
  /** The main answer: what it records. */
  done: (step: S, bench: Bench) => string;
  recorded: (step: S, bench: Bench) => readonly (Act | Note)[];
  crossing?: (step: S, bench: Bench) => ReactNode;
  /** Answers beside the main one. */
  others?: (step: S, bench: Bench, doors: Doors) => readonly Answer[];
}

export function plainStep<S extends Step>({
  hands,
  hint,
  done,
  recorded,
  crossing,
  others,
}: PlainStep<S>): StepScreen<S> {
  function Screen({ step }: { step: S }) {
    const bench = useBench();
    const doors = useDoors();
    const loose = step.stretch === 'kit';
    const answers: Answer[] = [
      ...commonAnswers(bench, doors).filter(({ key }) => !loose || key !== '+'),
      whyAnswer(doors),
      ...(loose ? [notNow(bench, step)] : []),
      ...(others?.(step, bench, doors) ?? []),
      {
        key: 'Enter',
        label: done(step, bench),
        main: true,
        act: () => bench.record(recorded(step, bench), step.id),
      },
    ];
    return (
      <JobFrame
        place="Bench"
        shown={step}
        answers={answers}
        {...hands(bench, step)}
        sentence={<strong>{stepWords(step, bench.state)}</strong>}
        under={<FindingsLine otherwise={step.blockedReason ?? hint(step, bench)} />}
        crossing={crossing?.(step, bench)}
      />
    );
  }
  return { hands, Screen };
}

/** The acts that a step of the difference stands for. */
export function effectOf({ effect }: { effect: readonly Act[] }): readonly Act[] {
  return effect;
}
