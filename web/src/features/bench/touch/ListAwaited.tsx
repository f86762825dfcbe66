/** While the touches before first power are worked out: how far that is, and what may be done meanwhile. */
import type { Step } from '@junctor/core';
import { stepWords } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers, whyAnswer } from '../commonAnswers';

export function ListAwaited({ step, answers = [] }: { step: Step; answers?: readonly Answer[] }) {
  const bench = useBench();
  const doors = useDoors();
  const { share, says } = bench.listing ?? { share: 0, says: 'asking for it' };
  return (
    <JobFrame
      place="Continuity"
      shown={step}
      answers={[...commonAnswers(bench, doors), ...answers, whyAnswer(doors)]}
      {...checklistHands(bench)}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={step.blockedReason ?? 'What must be read follows from what can be wrong: it is being worked out'}
      crossing={
        <>
          <Fact>
            <dt>now</dt>
            <dd className="long">{says}</dd>
          </Fact>
          <Fact>
            <dt>done</dt>
            <dd>{Math.round(100 * share)} %</dd>
          </Fact>
        </>
      }
    />
  );
}
