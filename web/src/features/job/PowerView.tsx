/** Limited first power: what must happen, what is seen, seconds running; one record of it all. */
import type { Note, Step } from '@junctor/core';
import { notesOf, ofJob, validPermit } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { Box } from './Checklist';
import { commonAnswers } from './commonAnswers';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';
import { useSeconds } from './useSeconds';

interface ExpectedSign {
  id: string;
  says: string;
  afterS: number;
}

const List = styled.ol`
  padding-top: 12px;
  display: grid;
  gap: 12px;
  font-size: 20px;
  li {
    display: grid;
    grid-template-columns: 34px 26px 1fr;
    align-items: center;
  }
  kbd {
    font: inherit;
    font-weight: 700;
  }
`;

/** Signs of every fitted part, in the order in which they come. */
function expectedSigns(bench: Bench): ExpectedSign[] {
  const { asBuilt } = bench.state;
  const signs = Object.keys(asBuilt.build.slots).flatMap((slot) =>
    asBuilt.model(slot)!.signs.map(({ id, says, afterS }) => ({
      id: `${slot}.${id}`,
      says,
      afterS,
    })),
  );
  return signs.sort((a, b) => a.afterS - b.afterS);
}

export function PowerView({ bench, step, setMode }: { bench: Bench; step: Step; setMode: SetMode }) {
  const { state } = bench;
  const [onAt, setOnAt] = useState<number | null>(null);
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const seconds = useSeconds(onAt);
  const signs = expectedSigns(bench);
  const pack = notesOf(state.log, 'pack').findLast(ofJob(bench.job.id))?.record.body;
  const limiter = bench.limiters.find(({ id }) => id === pack?.limiterId);
  const end = (endedBy: 'done' | 'sign' | 'heat') => {
    const allSeen = signs.every(({ id }) => seen.has(id));
    const note: Note = {
      saw: 'power',
      stage: 'limited, all',
      permit: validPermit(state.log, bench.job.id, bench.job.plan.version)?.id ?? null,
      limiterId: pack?.limiterId ?? null,
      packV: pack?.volts ?? 0,
      onS: Math.round(seconds * 10) / 10,
      ambientC: null,
      endedBy,
      signs: signs.map(({ id }) => ({ id, seen: seen.has(id) })),
      verdict: allSeen && endedBy === 'done' ? 'pass' : 'stop',
    };
    bench.record([note], step.id);
  };
  const toggle = (id: string) =>
    setSeen((before) => new Set(before.has(id) ? [...before].filter((one) => one !== id) : [...before, id]));
  const on = onAt !== null;
  const answers: Answer[] = on
    ? [
        { key: '9', also: ['h'], label: 'Heat or smell: off', act: () => end('heat') },
        { key: '0', label: 'Something odd: off', act: () => end('sign') },
        ...signs.slice(0, 8).map(({ id, says }, index): Answer => ({
          key: String(index + 1),
          label: says,
          hidden: true,
          act: () => toggle(id),
        })),
        {
          key: 'Enter',
          label: `Unplugged: record ${seen.size} of ${signs.length}`,
          main: true,
          act: () => end('done'),
        },
      ]
    : [
        ...commonAnswers(bench, setMode),
        { key: 'Enter', label: 'Plugged in', main: true, act: () => setOnAt(performance.now()) },
      ];
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={answers}
      left={{ title: 'what must happen', note: 'in order of seconds', body: <SignList signs={signs} /> }}
      right={{
        title: 'what you see',
        note: on ? 'press the number as you see it' : 'after plugging in',
        body: <SeenList signs={signs} seen={seen} />,
      }}
      sentence={
        <strong>
          {on
            ? 'Hand on the plug. Watch and listen. Unplug when all has shown'
            : 'Plug in through the limiter. Hand on the plug'}
        </strong>
      }
      under={
        step.blockedReason ?? 'No tone where one is due, heat or smell: off at once. Propellers are off, eyes covered.'
      }
      crossing={
        <>
          <Fact>
            <dt>limiter</dt>
            <dd className="long">{limiter?.name ?? 'not named'}</dd>
          </Fact>
          <Fact>
            <dt>pack</dt>
            <dd>{pack ? `${pack.volts} V` : '?'}</dd>
          </Fact>
          <Fact>
            <dt>powered</dt>
            <dd aria-live="off">{seconds.toFixed(0)} s</dd>
          </Fact>
        </>
      }
    />
  );
}

function SignList({ signs }: { signs: readonly ExpectedSign[] }) {
  return (
    <List>
      {signs.map(({ id, says, afterS }) => (
        <li key={id} style={{ gridTemplateColumns: '70px 1fr' }}>
          <kbd>{afterS} s</kbd>
          <span>{says}</span>
        </li>
      ))}
    </List>
  );
}

function SeenList({ signs, seen }: { signs: readonly ExpectedSign[]; seen: ReadonlySet<string> }) {
  return (
    <List>
      {signs.map(({ id, says }, index) => (
        <li key={id}>
          <kbd>{index + 1}</kbd>
          <Box done={seen.has(id)} />
          <span>
            {says}
            {seen.has(id) ? ', seen' : ''}
          </span>
        </li>
      ))}
    </List>
  );
}
