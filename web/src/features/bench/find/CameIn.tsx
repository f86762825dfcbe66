/** What the quad came in with: what the customer says of it, how it died, what was changed last. By keys, in order. */
import type { HowDied, Note, SymptomArea } from '@junctor/core';
import { lookFirst, notesOf, ofJob, symptomAreas, symptomWords, waysOfDying } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { useQuad } from '../../../api/queries';
import { dayWords } from '../../../ui/when';
import { OwnWords } from './OwnWords';

type Asked =
  | { is: 'area' }
  | { is: 'words'; area: SymptomArea; own: boolean }
  | { is: 'died' }
  | { is: 'changed'; died: HowDied }
  | { is: 'untouched' };

export function CameIn() {
  const bench = useBench();
  const doors = useDoors();
  const [asked, setAsked] = useState<Asked>({ is: 'area' });
  const earlier = useJobBefore(bench);
  const say = (area: SymptomArea, words: string) => {
    bench.record([{ saw: 'symptom', area, words, answer: null }], null);
    setAsked({ is: 'area' });
  };
  const leave = () => doors.leave(bench.job.kind === 'repair' ? doors.places.find : doors.places.now);
  const history = (died: HowDied, changedLast: string) => {
    const note: Note = { saw: 'history', died, changedLast, overloadedS: null };
    bench.record([note], null);
    if (died === 'it did not die' && earlier) setAsked({ is: 'untouched' });
    else leave();
  };
  const back: Answer = { key: 'Escape', label: 'Back', act: () => setAsked({ is: 'area' }) };
  const answersOf = (): Answer[] => {
    switch (asked.is) {
      case 'area':
        return [
          ...symptomAreas.map((area, index): Answer => ({
            key: String(index + 1),
            label: area,
            act: () => setAsked({ is: 'words', area, own: false }),
          })),
          { key: 'Enter', label: 'That is all', main: true, act: () => setAsked({ is: 'died' }) },
        ];
      case 'words':
        return [
          back,
          ...symptomWords[asked.area].map((words, index): Answer => ({
            key: String(index + 1),
            label: words,
            act: () => say(asked.area, words),
          })),
          { key: '7', label: 'In other words…', act: () => setAsked({ ...asked, own: true }) },
        ];
      case 'died':
        return [
          back,
          ...waysOfDying.map((died, index): Answer => ({
            key: String(index + 1),
            label: died,
            act: () => setAsked({ is: 'changed', died }),
          })),
        ];
      case 'changed':
        return [
          {
            key: 'Escape',
            label: 'Leave the field',
            act: () => (document.activeElement as HTMLElement | null)?.blur(),
          },
          { key: '0', label: 'Nothing, or nobody knows', act: () => history(asked.died, '') },
        ];
      case 'untouched':
        return [
          { key: '0', label: 'Something may have', act: leave },
          {
            key: 'Enter',
            label: 'Nothing has touched it',
            main: true,
            act: () => {
              bench.record([{ saw: 'untouched', since: earlier!.id }], null);
              leave();
            },
          },
        ];
    }
  };
  const died = asked.is === 'changed' ? asked.died : null;
  return (
    <JobFrame
      place="What it came in with"
      shown={bench.state.current}
      answers={answersOf()}
      sentence={<strong>{sentenceOf(asked, earlier)}</strong>}
      under={underOf(asked)}
      left={{
        title: 'what is said so far',
        note: `by ${bench.job.customer}`,
        body: <BigLines label="What is said so far" lines={said(bench).length > 0 ? said(bench) : ['nothing yet']} />,
      }}
      crossing={
        <Fact>
          <dt>wanted</dt>
          <dd className="long">{bench.job.intake?.wants || bench.job.title}</dd>
        </Fact>
      }
      right={rightOf(asked, died, say, history)}
    />
  );
}

function rightOf(
  asked: Asked,
  died: HowDied | null,
  say: (area: SymptomArea, words: string) => void,
  history: (died: HowDied, changedLast: string) => void,
) {
  if (asked.is === 'words' && asked.own)
    return {
      title: 'in the customer’s words',
      note: asked.area,
      body: <OwnWords label="What is wrong" give="Keep it" onGive={(words) => say(asked.area, words)} />,
    };
  if (died)
    return {
      title: 'what to look at first',
      note: `after ${died}`,
      body: (
        <>
          <BigLines label="What to look at first" lines={[lookFirst[died]]} />
          <OwnWords key={died} label="What was changed last" give="Keep it" onGive={(words) => history(died, words)} />
        </>
      ),
    };
  return {
    title: 'why it is asked',
    note: 'history is evidence',
    body: (
      <BigLines
        label="Why it is asked"
        lines={[
          'each symptom is answered before the quad goes back: gone, or handed on in writing',
          'how it died says where to look first',
          'what an earlier job proved is history after a crash',
        ]}
      />
    ),
  };
}

function sentenceOf(asked: Asked, earlier: { title: string; closedAt: string } | null): string {
  switch (asked.is) {
    case 'area':
      return 'What does the customer say? It is about …';
    case 'words':
      return `What about ${asked.area}?`;
    case 'died':
      return 'How did it die?';
    case 'changed':
      return 'What was changed last, before it died?';
    case 'untouched':
      return `Has anything touched it since ${earlier ? `“${earlier.title}”, ${dayWords(earlier.closedAt)}` : 'the last job'}?`;
  }
}

function underOf(asked: Asked): string {
  switch (asked.is) {
    case 'area':
      return 'One at a time, as many as there are. Enter when all is said.';
    case 'words':
      return 'The nearest by key, or in the customer’s own words.';
    case 'died':
      return 'As far as anybody knows.';
    case 'changed':
      return 'Type it, then Enter. 0 when nothing was, or nobody knows.';
    case 'untouched':
      return 'If nothing has, its readings and looks still count. A crash excludes that.';
  }
}

/** Symptoms and history of this job, in words. */
export function said({ state, job }: Bench): string[] {
  const own = ofJob(job.id);
  const symptoms = notesOf(state.log, 'symptom').filter(own);
  const history = notesOf(state.log, 'history').findLast(own)?.record.body;
  return [
    ...symptoms.map(({ record: { body } }) => `${body.area}: ${body.words}`),
    ...(history ? [`how it died: ${history.died}`] : []),
    ...(history?.changedLast ? [`changed last: ${history.changedLast}`] : []),
  ];
}

/** The job on this quad that was closed last before this one. */
function useJobBefore({ job }: Bench): { id: string; title: string; closedAt: string } | null {
  const jobs = useQuad(job.quadId).data?.jobs ?? [];
  const before = jobs.find(({ id, closedAt }) => id !== job.id && closedAt !== null);
  return before ? { ...before, closedAt: before.closedAt! } : null;
}
