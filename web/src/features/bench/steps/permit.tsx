/** The permit for limited first power: asked of the server, given or refused with what is missing. */
import type { StepOf } from '@junctor/core';
import { ApiError } from '../../../api/client';
import { useOutbox } from '../../../api/outbox';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { Checklist } from '../../../bench/hands/Checklist';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useAskPermit } from '../power/useAskPermit';
import type { StepScreen } from './stepScreen';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export const permit: StepScreen<StepOf<'permit'>> = { hands: checklistHands, Screen: PermitScreen };

function PermitScreen({ step }: { step: StepOf<'permit'> }) {
  const bench = useBench();
  const doors = useDoors();
  const { waiting } = useOutbox();
  const ask = useAskPermit(bench);
  const missing =
    ask.error instanceof ApiError
      ? ((ask.error.refusal.context as { missing?: string[] } | null)?.missing ?? [ask.error.message])
      : bench.state.objections;
  const asking = waiting > 0 ? `Waiting until everything is stored: ${waiting} left` : 'Asking the server';
  const blocked = ask.isPending ? asking : null;
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    whyAnswer(doors),
    { key: 'Enter', label: 'Ask for the permit', main: true, blocked, act: () => ask.mutate() },
  ];
  const underOf = () => {
    if (blocked) return `${blocked}.`;
    if (ask.error && !(ask.error instanceof ApiError))
      return `No permit: ${ask.error.message}. Only the server gives permits.`;
    if (missing[0]) return `Not yet: ${missing[0]}${missing.length > 1 ? `, and ${missing.length - 1} more` : ''}`;
    return 'Every check before it holds. The permit is for one power-up with this pack and limiter, within a quarter of an hour.';
  };
  const under = underOf();
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      left={{ title: 'what must hold', note: 'all of it, now', body: <Checklist bench={bench} /> }}
      right={checklistHands(bench).right}
      sentence={
        <>
          <strong>Ask for the permit:</strong> limited first power
        </>
      }
      under={<span role={missing[0] ? 'alert' : undefined}>{under}</span>}
      crossing={
        <>
          <Fact>
            <dt>stage</dt>
            <dd className="long">limited, everything plugged</dd>
          </Fact>
          <Fact>
            <dt>school</dt>
            <dd className="long">once, at the end</dd>
          </Fact>
          <Fact>
            <dt>a limiter</dt>
            <dd className="long">cannot save a logic pin</dd>
          </Fact>
        </>
      }
    />
  );
}
