/** Between the probes: what the touch rules out, how far the list is, and what was expected once it is answered. */
import type { Expectation, ExpectationSchool, StepOf, Touch } from '@junctor/core';
import {
  expectationSchoolOf,
  heardWords,
  enumerated,
  expectedWords,
  lastReading,
  notesAbout,
  touchKey,
} from '@junctor/core';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { dayWords } from '../../../ui/when';
import { Fact } from '../../../ui/Frame';
import { HoldClock } from './HoldClock';

interface TouchFactsProps {
  step: StepOf<'touch'>;
  expectation: Expectation | null;
  /** When the tips touched; null while they have not; undefined at a touch that is not timed. */
  startedAt: number | null | undefined;
}

/** Kinds of faults that have room between the hands. */
const mostSaid = 3;

export function TouchFacts({ step, expectation, startedAt }: TouchFactsProps) {
  const bench = useBench();
  const list = bench.state.steps.filter(
    (one): one is StepOf<'touch'> => one.verb === 'touch' && one.withApart === step.withApart,
  );
  return (
    <>
      <Fact>
        <dt>a good build shows</dt>
        <dd data-testid="expected" className="long">
          {saidBefore(expectation, expectationSchoolOf(bench.job.plan.schools))}
        </dd>
      </Fact>
      <LastAnswered bench={bench} />
      <EarlierJob bench={bench} touch={step.listed.touch} />
      <Fact>
        <dt>rules out</dt>
        <dd className="long">
          {step.rulesOut.length > 0 ? enumerated(step.rulesOut, mostSaid) : 'a probe without contact'}
        </dd>
      </Fact>
      <Fact>
        <dt>touch</dt>
        <dd>
          {list.findIndex(({ id }) => id === step.id) + 1} of {list.length}
        </dd>
      </Fact>
      {startedAt !== undefined && (
        <HoldClock startedAt={startedAt} first={step.listed.across === 'main leads'} heldFirstMs={firstHeldMs(bench)} />
      )}
    </>
  );
}

function saidBefore(expectation: Expectation | null, school: ExpectationSchool): string {
  if (!expectation) return 'computing';
  return school === 'before the answer' ? expectedWords(expectation) : 'said after your answer';
}

/** The touch before this one: what was heard beside what was expected. */
function LastAnswered({ bench: { records } }: { bench: Bench }) {
  const last = records.at(-1)?.body;
  const body = last && 'saw' in last && last.saw === 'reading' ? last.reading : null;
  if (!body) return null;
  return (
    <Fact>
      <dt>last: expected {expectedWords(body.expected)}</dt>
      <dd className="long">
        {body.verdict === 'stop' ? '▲' : '●'} {heardWords(body.heard)}
      </dd>
    </Fact>
  );
}

/** What an earlier job read there: history, that counts for nothing here. */
function EarlierJob({ bench: { state, job }, touch }: { bench: Bench; touch: Touch }) {
  const last = notesAbout(state.log, 'reading', touchKey(touch)).findLast(({ record }) => record.jobId !== job.id);
  if (!last) return null;
  return (
    <Fact>
      <dt>history, {dayWords(last.record.doneAt)}</dt>
      <dd className="long">{heardWords(last.record.body.reading.heard)}</dd>
    </Fact>
  );
}

/** How long the first main-lead touch was held, or null. */
function firstHeldMs({ job, state: { steps, log } }: Bench): number | null {
  const first = steps.find(
    (step): step is StepOf<'touch'> => step.verb === 'touch' && step.listed.across === 'main leads',
  );
  return first ? (lastReading(log, first.listed.touch, job.id)?.record.body.reading.heard.heldMs ?? null) : null;
}
