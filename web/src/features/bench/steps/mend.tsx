/** A fault that was found, and what has been done at its place since: that mends it, no sentence does. */
import type { ActEntry, StepOf } from '@junctor/core';
import { findFault, idsOf, mendingOf, recordWords, siteWords, stepWords } from '@junctor/core';
import { BigLines } from '../../../ui/BigLines';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import type { StepScreen } from './stepScreen';

type MendStep = StepOf<'mend'>;

export const mend: StepScreen<MendStep> = { hands: mendHands, Screen: MendScreen };

const shownAtMost = 7;

function mendHands(bench: Bench, { about }: MendStep): Hands {
  const { log, asBuilt } = bench.state;
  const fault = findFault(log, about.record);
  const done = fault ? mendingOf(fault, log) : [];
  const found = fault?.record.body.fault;
  return {
    left: {
      title: 'what was found',
      note: found ? siteWords(found.site, asBuilt) : 'taken back since',
      body: (
        <BigLines
          label="What was found"
          lines={
            found
              ? [found.symptom, ...(found.cause ? [`cause: ${found.cause}`] : []), ...(found.done ? [found.done] : [])]
              : []
          }
        />
      ),
    },
    right: {
      title: 'what was done at its place',
      note: done.length === 0 ? 'nothing yet' : `${done.length} records since it was found`,
      body: (
        <BigLines
          label="What was done at its place"
          lines={partsFirst(done)
            .slice(0, shownAtMost)
            .map((act) => recordWords(act.record, bench.before(act.record.id)))}
        />
      ),
    },
  };
}

/** Parts in and out say more than joints. */
function partsFirst(acts: readonly ActEntry[]): ActEntry[] {
  const isPart = ({ record: { body } }: ActEntry) => body.do === 'take off' || body.do === 'fit';
  return [...acts.filter(isPart), ...acts.filter((act) => !isPart(act)).reverse()];
}

function MendScreen({ step }: { step: MendStep }) {
  const bench = useBench();
  const doors = useDoors();
  const { log } = bench.state;
  const fault = findFault(log, step.about.record);
  const done = fault ? idsOf(mendingOf(fault, log)) : [];
  const mended = () =>
    fault &&
    bench.record(
      [{ saw: 'fault', fault: { ...fault.record.body.fault, state: 'mended', mendedBy: done } }],
      step.id,
      fault.record.id,
    );
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    { key: '5', label: 'The fault…', act: () => doors.open(doors.places.faultOf(step.about.record)) },
    { key: '6', label: 'Find it', act: () => doors.open(doors.places.find) },
    { ...whyAnswer(doors), hidden: true },
    {
      key: 'Enter',
      label: done.length === 1 ? 'Mended by this' : `Mended by these ${done.length || ''}`,
      main: true,
      act: mended,
      blocked: done.length === 0 ? 'Nothing has been done at its place since it was found' : null,
    },
  ];
  return (
    <JobFrame
      place="Fault"
      shown={step}
      answers={answers}
      {...mendHands(bench, step)}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={
        step.blockedReason
          ? `${step.blockedReason}. Find it, replace or rework it; a lead may leave it as it is, with a reason.`
          : 'A fault is mended by what was done, not by saying so. It is proved by what is read after that.'
      }
      crossing={
        <Fact>
          <dt>fault</dt>
          <dd className="long">{fault?.record.body.fault.state ?? 'taken back'}</dd>
        </Fact>
      }
    />
  );
}
