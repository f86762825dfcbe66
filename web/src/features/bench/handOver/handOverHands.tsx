/** The hands at the hand-over: what was there before on the left, what there is now on the right. */
import type { NoteOf } from '@junctor/core';
import { notesOf, ofJob, workOf } from '@junctor/core';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { BigLines } from '../../../ui/BigLines';
import { TickList } from './TickList';

export function handOverHands(bench: Bench): Hands {
  const { steps } = bench.state;
  const own = steps.filter(({ stretch }) => stretch === 'hand-over');
  return {
    left: {
      title: 'what was done',
      note: 'in this job',
      body: <BigLines label="What was done" lines={doneLines(bench)} />,
    },
    right: { title: 'before it goes back', note: `${own.length} points`, body: <TickList bench={bench} /> },
  };
}

/** Joints, readings, faults and parts of this job, counted. */
function doneLines({ state, job }: Bench): string[] {
  const own = ofJob(job.id);
  const acts = workOf(state.log, job.id);
  const made = acts.filter(({ record: { body } }) => body.do === 'land' && body.as.by === 'solder').length;
  const opened = acts.filter(({ record: { body } }) => body.do === 'free').length;
  const fitted = acts.filter(({ record: { body } }) => body.do === 'fit').length;
  const readings = notesOf(state.log, 'reading').filter(own);
  const passed = readings.filter(({ record }) => record.body.reading.verdict === 'pass').length;
  const faults = notesOf(state.log, 'fault').filter(own);
  return [
    `joints made: ${made}, opened: ${opened}`,
    `parts put in: ${fitted}`,
    `readings passed: ${passed} of ${readings.length}`,
    faults.length === 0 ? 'no fault logged' : `faults: ${faults.map(faultWords).join('; ')}`,
  ];
}

function faultWords({ record: { body } }: NoteOf<'fault'>): string {
  return `${body.fault.symptom}, ${body.fault.state}`;
}
