/** Between the probes: what the touch rules out, how far the list is, and what was expected once it is answered. */
import type { Expectation, ExpectationSchool, StepOf, Touch, TouchReason } from '@junctor/core';
import {
  expectationSchoolOf,
  heardWords,
  lastReading,
  notesAbout,
  passesWords,
  toneWords,
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

export function TouchFacts({ step, expectation, startedAt }: TouchFactsProps) {
  const bench = useBench();
  const { reason } = step.listed;
  const list = bench.state.steps.filter(({ verb }) => verb === 'touch');
  return (
    <>
      <Fact>
        <dt>a good build shows</dt>
        <dd data-testid="expected" className="long">
          {expectedWords(expectation, expectationSchoolOf(bench.job.plan.schools))}
        </dd>
      </Fact>
      <LastAnswered bench={bench} />
      <EarlierJob bench={bench} touch={step.listed.touch} />
      <Fact>
        <dt>rules out</dt>
        <dd className="long">{rulesOut[reason]}</dd>
      </Fact>
      <Fact>
        <dt>touch</dt>
        <dd>
          {list.findIndex(({ id }) => id === step.id) + 1} of {list.length}
        </dd>
      </Fact>
      {startedAt !== undefined && (
        <HoldClock startedAt={startedAt} first={reason === 'main leads'} heldFirstMs={firstHeldMs(bench)} />
      )}
    </>
  );
}

function expectedWords(expectation: Expectation | null, school: ExpectationSchool): string {
  if (!expectation) return 'computing';
  return school === 'before the answer' ? passesWords(expectation.passes) : 'said after your answer';
}

/** The touch before this one: what was heard beside what was expected. */
function LastAnswered({ bench: { records } }: { bench: Bench }) {
  const last = records.at(-1)?.body;
  const body = last && 'saw' in last && last.saw === 'reading' ? last.reading : null;
  if (!body) return null;
  return (
    <Fact>
      <dt>last: expected {passesWords(body.expected.passes)}</dt>
      <dd className="long">
        {body.verdict === 'stop' ? '▲' : '●'} heard {toneWords(body.heard.length ?? 'none')}
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
    (step): step is StepOf<'touch'> => step.verb === 'touch' && step.listed.reason === 'main leads',
  );
  return first ? (lastReading(log, first.listed.touch, job.id)?.record.body.reading.heard.heldMs ?? null) : null;
}

const rulesOut: Readonly<Record<TouchReason, string>> = {
  'first anchor': 'a lead that is open or reversed',
  'main leads': 'a short across the pack',
  'main leads exchanged': 'a short across the pack, a capacitor left out',
  ground: 'a ground that is open',
  'wire end to end': 'a cold joint, a wire on another pad',
  'same net': 'a probe without contact',
  'rail to ground': 'a bridged or dead rail',
  'sister phase': 'a cold joint, enamel in the bundle',
  'phase to rail': 'a bridge, a shorted transistor',
  neighbours: 'a bridge of solder',
};
