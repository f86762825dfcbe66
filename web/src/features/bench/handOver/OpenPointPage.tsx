/** A point left open: what, where. It is closed or handed on in writing before the quad goes back. */
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { AnswerRow } from '../../../ui/Answers';
import { Head } from '../../../ui/Head';
import { FormPage, SubmitButton, WordsField } from '../../../ui/form';

export function OpenPointPage() {
  const bench = useBench();
  const doors = useDoors();
  const [missing, setMissing] = useState(false);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const text = String(new FormData(event.currentTarget).get('text') ?? '').trim();
    if (!text) return setMissing(true);
    bench.record([{ saw: 'open point', text, state: 'open', how: '' }], null);
    doors.close();
  };
  return (
    <FormPage
      title="What is left open?"
      head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}
      onSubmit={submit}
    >
      <WordsField name="text" label="What, and where" autoFocus error={missing ? 'Say what is left open' : null} />
      <SubmitButton>Keep it open</SubmitButton>
      <AnswerRow answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.close() }]} />
    </FormPage>
  );
}
