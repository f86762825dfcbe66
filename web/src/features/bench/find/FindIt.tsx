/** Looking for a fault: what is known on the left, what can be done on the right. Nothing here is asked by the plan. */
import type { StepOf } from '@junctor/core';
import {
  heardWords,
  lookFirst,
  notesOf,
  ofJob,
  openPlugs,
  plugWords,
  jointWords,
  stepWords,
  terminalWords,
  workOf,
} from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { said } from './CameIn';

export function FindIt() {
  const bench = useBench();
  const { places, open, leave } = useDoors();
  const { state, job } = bench;
  const ledger = openNow(bench);
  const answers: Answer[] = [
    { key: '1', label: 'Read anywhere', act: () => open(places.readAnywhere) },
    { key: '2', label: 'Unplug, lift, put back', act: () => open(places.isolate) },
    { key: '3', label: 'Replace a part', act: () => open(places.replace()) },
    { key: '4', label: 'It was powered', act: () => open(places.powered) },
    { key: '*', also: ['p'], label: 'Log a fault', act: () => open(places.fault(firstSymptom(bench))) },
    { key: '7', label: 'Look, picture', act: () => open(places.seen) },
    { key: '5', label: 'A point left open', act: () => open(places.openPoint) },
    { key: '6', label: 'What it came in with', hidden: true, act: () => open(places.cameIn) },
    { key: 'm', label: 'The wiring', hidden: true, act: () => open(places.wiring()) },
    { key: 'Enter', also: ['Escape'], label: 'To the steps', main: true, act: () => leave(places.now) },
  ];
  return (
    <JobFrame
      place="Find it"
      shown={state.current}
      answers={answers}
      sentence={
        <>
          <strong>Find it.</strong> What do you want to know, or do?
        </>
      }
      under={
        state.short ? (
          <strong role="alert">Short between + and −. No battery. Halve it: unplug, lift, read again.</strong>
        ) : (
          'Any reading, any plug, any lead. Each is kept; what comes off has its way back.'
        )
      }
      left={{
        title: 'what is known',
        note: 'said, read, seen',
        body: <BigLines label="What is known" lines={known(bench)} />,
      }}
      crossing={
        <>
          <Fact>
            <dt>open now</dt>
            <dd>{ledger.length}</dd>
          </Fact>
          <Fact>
            <dt>next by the plan</dt>
            <dd className="long">{state.current ? stepWords(state.current, state) : `nothing: ${job.title}`}</dd>
          </Fact>
        </>
      }
      right={{
        title: 'open plugs and lifted leads',
        note: ledger.length === 0 ? 'none: all is as it was' : 'power and hand-over wait for each',
        body: <BigLines label="Open plugs and lifted leads" lines={ledger} />,
      }}
    />
  );
}

function firstSymptom({ state, job }: Bench): string {
  return notesOf(state.log, 'symptom').find(ofJob(job.id))?.record.body.words ?? '';
}

const shownAtMost = 9;

/** What was said, and what was read in this job, newest last. */
function known(bench: Bench): string[] {
  const { state, job } = bench;
  const own = ofJob(job.id);
  const died = notesOf(state.log, 'history').findLast(own)?.record.body.died;
  const readings = notesOf(state.log, 'reading').filter(own);
  return [
    ...said(bench),
    ...(died ? [`look first: ${lookFirst[died]}`] : []),
    ...readings.slice(-4).map(({ record: { id, body } }) => {
      const { touch, heard, verdict } = body.reading;
      const then = bench.before(id);
      return `${terminalWords(touch.black, then)} to ${terminalWords(touch.red, then)}: ${heardWords(heard)}, ${verdict}`;
    }),
  ].slice(-shownAtMost);
}

/** Plugs that were pulled and leads that were lifted in this job and are not back. */
function openNow(bench: Bench): string[] {
  const { state, job } = bench;
  const plugs = openPlugs({ ...state, jobId: job.id }).map(
    ({ mate, stays }) =>
      `plug ${plugWords(mate, state.target)}${stays ? `: stays open, ${stays.record.body.reason}` : ''}`,
  );
  return [...plugs, ...lifted(bench).map((step) => jointWords(step.subject, state.target))];
}

/** Steps that put lifted leads back. */
export function lifted({ state, job }: Bench): StepOf<'land'>[] {
  const freed = new Set(
    workOf(state.log, job.id).flatMap(({ record: { body }, joints }) => (body.do === 'free' ? joints : [])),
  );
  return state.steps.filter(
    (step): step is StepOf<'land'> => step.verb === 'land' && !step.done && freed.has(step.subject),
  );
}
