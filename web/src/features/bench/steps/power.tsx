/** Limited first power: what must happen, what is seen, seconds running; one record of it all. */
import type { ExpectedSign, Note, StepOf } from '@junctor/core';
import {
  expectedSigns,
  lastNote,
  meaningOfMissing,
  powerFailings,
  signId,
  signWords,
  validPermit,
} from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { commonAnswers } from '../commonAnswers';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { checklistHands } from '../../../bench/hands/checklistHands';
import type { StepScreen } from './stepScreen';
import { BigLines } from '../../../ui/BigLines';
import { useAskPermit, useRunOut } from '../power/useAskPermit';
import { SignList } from '../power/SignList';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { useSeconds } from '../useSeconds';

type PowerNote = Extract<Note, { saw: 'power' }>;

export const power: StepScreen<StepOf<'power'>> = { hands: checklistHands, Screen: PowerScreen };

function PowerScreen({ step }: { step: StepOf<'power'> }) {
  const bench = useBench();
  const doors = useDoors();
  const { state, job } = bench;
  const [onAt, setOnAt] = useState<number | null>(null);
  const seconds = useSeconds(onAt);
  const signs = expectedSigns(state.asBuilt);
  const walk = useSigns(signs);
  const pack = lastNote({ log: state.log, jobId: job.id }, 'pack')?.record.body;
  const limiter = bench.limiters.find(({ id }) => id === pack?.limiterId);
  const permit = validPermit(state.log, job.id, job.plan.version);
  const ask = useAskPermit(bench);
  const ended = useRunOut(permit);
  const end = (heat: boolean) => {
    const all = walk.seen.size === signs.length;
    const note: PowerNote = {
      saw: 'power',
      stage: 'limited, all',
      permit: permit?.id ?? null,
      limiterId: pack?.limiterId ?? null,
      packV: pack?.volts ?? 0,
      onS: Math.round(seconds * 10) / 10,
      ambientC: null,
      endedBy: endedByOf(heat, all),
      signs: signs.map((sign) => ({ id: signId(sign), seen: walk.seen.has(signId(sign)) })),
      verdict: 'stop',
    };
    const verdict = powerFailings(note, state.asBuilt, job.plan.cells).length === 0 ? 'pass' : 'stop';
    bench.record([{ ...note, verdict }], step.id);
    if (heat) doors.open(doors.places.fault('Heat or smell at first power'));
  };
  const on = onAt !== null;
  const answers: Answer[] = on
    ? [
        { key: '-', also: ['ArrowUp', 'ArrowLeft'], label: 'Up', act: () => walk.by(-1) },
        { key: '*', also: ['p', 'h'], label: 'Heat or smell: off', act: () => end(true) },
        { key: '+', also: ['ArrowDown', 'ArrowRight'], label: 'Not yet: next', act: () => walk.by(1) },
        { key: '0', label: 'Nothing more', act: walk.toEnd },
        walk.now
          ? { key: 'Enter', label: 'It is there', main: true, act: walk.take }
          : {
              key: 'Enter',
              label: `Unplugged: ${walk.seen.size} of ${signs.length}`,
              main: true,
              act: () => end(false),
            },
      ]
    : [
        ...commonAnswers(bench, doors),
        ended
          ? {
              key: 'Enter',
              label: 'Ask again',
              main: true,
              blocked: ask.isPending ? 'Asking' : null,
              act: () => ask.mutate(),
            }
          : { key: 'Enter', label: 'Plugged in', main: true, act: () => setOnAt(performance.now()) },
      ];
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      left={{
        title: 'what must happen',
        note: on ? 'answer each as you see or hear it' : 'in order of seconds after plugging in',
        body: <SignList signs={signs} seen={walk.seen} at={on ? walk.at : null} />,
      }}
      right={{
        title: 'if it does not come',
        note: 'what that can mean, likeliest first',
        body: <BigLines label="What that can mean" lines={meaningOfMissing(walk.now ? [walk.now] : signs, signs)} />,
      }}
      sentence={ended && !on ? <strong>The permit has run out</strong> : <Asked on={on} now={walk.now} signs={signs} />}
      under={
        step.blockedReason ??
        (ended && !on
          ? 'Leave the plug out. It held for a quarter of an hour; ask again, and it is looked at anew'
          : 'No tone where one is due, heat or smell: off at once. Propellers are off, eyes covered.')
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

function endedByOf(heat: boolean, all: boolean) {
  if (heat) return 'heat';
  if (all) return 'done';
  return 'sign';
}

function Asked({ on, now, signs }: { on: boolean; now: ExpectedSign | null; signs: readonly ExpectedSign[] }) {
  if (!on) return <strong>Plug in through the limiter. Hand on the plug</strong>;
  if (!now) return <strong>Pull the plug, then record</strong>;
  return (
    <>
      Hand on the plug. Is it there: <strong>{signWords(now, signs)}</strong>?
    </>
  );
}

interface SignWalk {
  seen: ReadonlySet<string>;
  /** Place of the sign that is asked for; behind the last one the plug is pulled. */
  at: number;
  now: ExpectedSign | null;
  by: (steps: 1 | -1) => void;
  /** The sign is there: on to the next that nobody has seen. */
  take: () => void;
  toEnd: () => void;
}

/** Signs are answered one after the other, however many there are. */
function useSigns(signs: readonly ExpectedSign[]): SignWalk {
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const [at, setAt] = useState(0);
  const now = signs[at] ?? null;
  const unseenFrom = (from: number, known: ReadonlySet<string>) => {
    const next = signs.findIndex((sign, place) => place >= from && !known.has(signId(sign)));
    return next < 0 ? signs.length : next;
  };
  return {
    seen,
    at,
    now,
    by: (steps) => setAt(Math.max(0, Math.min(signs.length, at + steps))),
    take: () => {
      if (!now) return;
      const more = new Set(seen).add(signId(now));
      setSeen(more);
      setAt(unseenFrom(at + 1, more));
    },
    toEnd: () => setAt(signs.length),
  };
}
