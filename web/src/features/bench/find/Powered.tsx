/** Power that was given without this program: a fact like any other, kept with what it shows. It opens no gate. */
import type { Note } from '@junctor/core';
import type { FormEvent } from 'react';
import { Head } from '../../../ui/Head';
import { AnswerRow } from '../../../ui/Answers';
import { ChoiceField, FormPage, NumberTextField, SubmitButton, typedNumber } from '../../../ui/form';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type Power = Extract<Note, { saw: 'power' }>;

const stages: readonly { value: Power['stage']; label: string }[] = [
  { value: 'pack', label: 'on its pack' },
  { value: 'limited, all', label: 'through a limiter' },
  { value: 'usb', label: 'on USB only' },
];
const ends: readonly { value: Power['endedBy']; label: string }[] = [
  { value: 'sign', label: 'something was missing' },
  { value: 'heat', label: 'heat, smell or smoke' },
  { value: 'time', label: 'unplugged in time' },
];

export function Powered() {
  const bench = useBench();
  const doors = useDoors();
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const note: Note = {
      saw: 'power',
      stage: data.get('stage') as Power['stage'],
      permit: null,
      limiterId: null,
      packV: Math.max(0, typedNumber(data.get('volts')) || 0),
      onS: Math.max(0, typedNumber(data.get('seconds')) || 0),
      ambientC: null,
      endedBy: data.get('ended') as Power['endedBy'],
      signs: [],
      verdict: 'stop',
    };
    bench.record([note], null);
    doors.leave(doors.places.find);
  };
  return (
    <FormPage
      title="How was it powered, without a permit?"
      head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}
      onSubmit={submit}
    >
      <ChoiceField name="stage" label="It was" options={stages} />
      <ChoiceField name="ended" label="It ended because" options={ends} />
      <NumberTextField name="volts" label="Volts, as far as known" />
      <NumberTextField name="seconds" label="Seconds" />
      <p>It is kept as a fact. The main leads are read again before anything else.</p>
      <SubmitButton>Keep it</SubmitButton>
      <AnswerRow
        answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.close(doors.places.find) }]}
      />
    </FormPage>
  );
}
