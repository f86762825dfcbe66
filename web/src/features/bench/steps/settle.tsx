/** What must be closed before the quad goes back: a fault proved mended, what the customer said, a point left open. */
import type { Entry, Matter, Note, StepOf } from '@junctor/core';
import {
  findFault,
  heardWords,
  idsOf,
  isAcrossMains,
  mattersOf,
  provingOf,
  recordWords,
  stepWords,
  terminalWords,
} from '@junctor/core';
import { BigLines } from '../../../ui/BigLines';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { whenWords } from '../../../ui/when';
import { commonAnswers } from '../commonAnswers';
import { handOverHands } from '../handOver/handOverHands';
import type { StepScreen } from './stepScreen';

type SettleStep = StepOf<'settle'>;

export const settle: StepScreen<SettleStep> = { hands: settleHands, Screen: SettleScreen };

const shownAtMost = 6;

function settleHands(bench: Bench, { about }: SettleStep): Hands {
  const { right } = handOverHands(bench);
  const shows = about.of === 'fault' ? showing(bench, about.record) : bench.state.log.acts.slice(-shownAtMost);
  return {
    left: {
      title: about.of === 'fault' ? 'what shows it mended' : 'what was done last',
      note: shows.length === 0 ? 'nothing yet' : `${shows.length} records`,
      body: (
        <BigLines
          label="What shows it"
          lines={tellingFirst(shows, bench)
            .slice(0, shownAtMost)
            .map((entry) => showsWords(entry, bench))}
        />
      ),
    },
    right,
  };
}

function showing({ state: { log } }: Bench, record: string) {
  const fault = findFault(log, record);
  return fault ? provingOf(fault, log) : [];
}

/** Power, then the main leads, then the rest, newest first. */
function tellingFirst(entries: readonly Entry[], bench: Bench): Entry[] {
  const rank = ({ record: { id, body } }: Entry) => {
    if ('saw' in body && body.saw === 'power') return 0;
    const mains = 'saw' in body && body.saw === 'reading' && isAcrossMains(body.reading.touch, bench.before(id));
    return mains ? 1 : 2;
  };
  return [...entries].reverse().sort((a, b) => rank(a) - rank(b));
}

function showsWords({ record }: Entry, bench: Bench): string {
  const then = bench.before(record.id);
  const { body } = record;
  if (!('saw' in body) || body.saw !== 'reading') return `${recordWords(record, then)}, ${whenWords(record.doneAt)}`;
  const { touch, heard } = body.reading;
  return `${terminalWords(touch.black, then)} to ${terminalWords(touch.red, then)}: ${heardWords(heard)}, ${whenWords(record.doneAt)}`;
}

function SettleScreen({ step }: { step: SettleStep }) {
  const bench = useBench();
  const doors = useDoors();
  const { record, of } = step.about;
  const matter = mattersOf(bench.state.log, bench.job.id).find((one) => one.record.id === record);
  const shows = of === 'fault' ? idsOf(showing(bench, record)) : [];
  const closed = matter && closedBy(matter, shows);
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    of === 'fault'
      ? { key: '5', label: 'The fault…', act: () => doors.open(doors.places.faultOf(record)) }
      : { key: '0', label: 'No: hand it on in writing…', act: () => doors.open(doors.places.handOn(record)) },
    {
      key: 'Enter',
      label: labelOf(of, shows.length),
      main: true,
      act: () => closed && bench.record([closed], step.id, record),
      blocked: of === 'fault' && shows.length === 0 ? 'Nothing read, looked at or powered since shows it' : null,
    },
  ];
  return (
    <JobFrame
      place="Hand-over"
      shown={step}
      answers={answers}
      {...settleHands(bench, step)}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={underOf(of)}
      crossing={
        <Fact>
          <dt>{of}</dt>
          <dd className="long">{matter ? stateOf(matter) : 'taken back'}</dd>
        </Fact>
      }
    />
  );
}

function labelOf(of: SettleStep['about']['of'], shows: number): string {
  if (of === 'fault') return shows === 1 ? 'Proved by this' : `Proved by these ${shows || ''}`;
  return of === 'symptom' ? 'Gone: tried and seen' : 'Closed';
}

function underOf(of: SettleStep['about']['of']): string {
  if (of === 'fault') return 'Readings, looks and power since it was mended, at its place. Without one it stays open.';
  if (of === 'symptom') return 'Tried as the customer would. What is not found is handed on in writing.';
  return 'Closed, or handed on in writing: whose it is then.';
}

function stateOf({ record: { body } }: Matter): string {
  if (body.saw === 'fault') return body.fault.state;
  return body.saw === 'symptom' ? body.area : body.state;
}

/** The matter as it stands once it is closed. */
function closedBy({ record: { body } }: Matter, shows: readonly string[]): Note {
  switch (body.saw) {
    case 'fault':
      return { ...body, fault: { ...body.fault, state: 'proved', provedBy: shows } };
    case 'symptom':
      return { ...body, answer: { how: 'gone', words: 'tried and seen' } };
    case 'open point':
      return { ...body, state: 'closed' };
  }
}
