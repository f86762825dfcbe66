/** Why this step, why now, what it opens. */
import { expectationSchool, expectationSchoolOf, stepWords, whyNow } from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { shownHands } from './shownHands';
import { useChangePlan } from '../../../api/queries';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { NotHere } from '../../../bench/frame/NotHere';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export function Why() {
  const bench = useBench();
  const doors = useDoors();
  const { steps, gates, current } = bench.state;
  const school = useExpectationSchool(bench);
  if (!current) return <NotHere what="No step is due" why="Everything planned here is done." />;
  const gate = gates.find(({ id }) => id === current.stretch)!;
  const next = steps[steps.indexOf(current) + 1];
  const answers: Answer[] = [
    ...(current.about.kind === 'touch' ? [school.answer] : []),
    { key: 'Enter', also: ['Escape'], label: 'Back to the step', main: true, act: () => doors.close() },
  ];
  return (
    <JobFrame
      place="Why now"
      shown={current}
      answers={answers}
      {...shownHands(bench, current)}
      sentence={
        <>
          Why now: <strong>{whyNow(current)}</strong>
        </>
      }
      under={`Then: ${next ? stepWords(next, bench.state) : 'nothing more'}. The gate ${gate.id} still wants ${gate.missing.length} of its steps.`}
      crossing={
        <>
          <Fact>
            <dt>gate</dt>
            <dd className="long">{gate.id}</dd>
          </Fact>
          <Fact>
            <dt>school</dt>
            <dd className="long">
              {current.about.kind === 'touch'
                ? `what is expected is said ${school.now}`
                : 'limited power once, at the end'}
            </dd>
          </Fact>
        </>
      }
    />
  );
}

/** Said before the answer, what is expected leads the witness; some shops want it all the same. */
function useExpectationSchool({ job: { id, plan } }: Bench) {
  const change = useChangePlan(id);
  const now = expectationSchoolOf(plan.schools);
  const other = now === 'after the answer' ? 'before the answer' : 'after the answer';
  const answer: Answer = {
    key: '1',
    label: `Say what is expected ${other}`,
    blocked: change.isPending ? 'changing the plan' : null,
    act: () => {
      const before = plan.schools[expectationSchool] ?? null;
      change.mutate({
        version: plan.version,
        changes: [{ path: `schools/${expectationSchool}`, before, after: other }],
      });
    },
  };
  return { now, answer };
}
