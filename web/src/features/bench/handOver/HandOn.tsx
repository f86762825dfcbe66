/** What is not closed is handed on in writing: what the customer is told, or whose it is then. */
import type { Matter, Note } from '@junctor/core';
import { mattersOf } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useParams } from 'react-router';
import { NotHere } from '../../../bench/frame/NotHere';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { AnswerRow } from '../../../ui/Answers';
import { Head } from '../../../ui/Head';
import { FormPage, SubmitButton, WordsField } from '../../../ui/form';

export function HandOn() {
  const { record = '' } = useParams();
  const bench = useBench();
  const doors = useDoors();
  const [missing, setMissing] = useState(false);
  const matter = mattersOf(bench.state.log, bench.job.id).find((one) => one.record.id === record);
  if (!matter || matter.record.body.saw === 'fault')
    return <NotHere what="There is nothing to hand on here" why="It was closed or taken back since." />;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const words = String(new FormData(event.currentTarget).get('words') ?? '').trim();
    if (!words) return setMissing(true);
    bench.record([handedOn(matter, words)], bench.state.current?.id ?? null, record);
    doors.leave();
  };
  const symptom = matter.record.body.saw === 'symptom';
  return (
    <FormPage
      title={symptom ? 'What is the customer told about it?' : 'Who closes it, and how?'}
      head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}
      onSubmit={submit}
    >
      <p>
        {matter.record.body.saw === 'symptom'
          ? matter.record.body.words
          : matter.record.body.saw === 'open point' && matter.record.body.text}
      </p>
      <WordsField
        name="words"
        label="It stands on the sheet like this"
        autoFocus
        error={missing ? 'Say it in a few words' : null}
      />
      <SubmitButton>Hand it on in writing</SubmitButton>
      <AnswerRow answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.close() }]} />
    </FormPage>
  );
}

function handedOn({ record: { body } }: Matter, words: string): Note {
  if (body.saw === 'symptom') return { ...body, answer: { how: 'handed on', words } };
  return body.saw === 'open point' ? { ...body, state: 'handed on', how: words } : body;
}
