/** A meter's card from a handful of resistors and a known capacitor: what it amounts to is said as it is typed. */
import type { BenchTries } from '@junctor/core';
import { learnMeter, meterWords } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormProblem, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../ui/form';
import { Beside, Stack, Words } from '../../ui/layout';
import { useKeepMeter } from './useKeepMeter';

export function LearnMeter({ onKept }: { onKept: () => void }) {
  const [tries, setTries] = useState<BenchTries | null>(null);
  const { keep, send } = useKeepMeter(onKept);
  const learned = tries && learnMeter(tries);
  const errors = fieldErrors(keep.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const now = learnMeter(triesIn(form));
    setTries(triesIn(form));
    if (now.is !== 'card') return;
    send(String(form.get('name') ?? '').trim(), now.card);
  };
  return (
    <Stack
      onSubmit={submit}
      onInput={(event) => setTries(triesIn(new FormData(event.currentTarget)))}
      noValidate
      aria-label="A new meter"
    >
      <WordsField name="name" label="What it is called here" error={errors.of('name')} />
      <Beside>
        <WordsField name="sounding" label="On tone: resistors that sound, Ω" />
        <WordsField name="silent" label="Resistors that stay silent, Ω" />
      </Beside>
      <Beside $columns={3}>
        <NumberTextField name="ohms0" label="Diode volts on, Ω" />
        <NumberTextField name="volts0" label="shows, V" />
        <NumberTextField name="countsTo" label="counts up to, V" />
        <NumberTextField name="ohms1" label="on a greater one, Ω" />
        <NumberTextField name="volts1" label="shows, V " />
      </Beside>
      <Beside>
        <NumberTextField name="microfarads" label="A known capacitor, emptied, µF" />
        <NumberTextField name="toneMs" label="sounds for, ms" />
      </Beside>
      <Words role="status">
        {learned?.is === 'card' && `So it ${meterWords(learned.card)}.`}
        {learned?.is === 'not yet' && learned.why}
        {!learned &&
          'Try about eight resistors from 10 to 300 Ω, say which sound; two of 200 Ω and 1 kΩ on diode volts.'}
      </Words>
      <FormProblem message={errors.rest(['name'])} />
      <SubmitButton>Keep its card</SubmitButton>
    </Stack>
  );
}

function triesIn(form: FormData): BenchTries {
  const number = (name: string) => typedNumber(form.get(name));
  const ohms = (name: string, sounds: boolean) =>
    String(form.get(name) ?? '')
      .split(/[\s;]+|,\s+/)
      .filter(Boolean)
      .map((one) => ({ ohms: typedNumber(one), sounds }))
      .filter((one) => one.ohms > 0);
  const farads = number('microfarads') / 1e6;
  const readings = [0, 1]
    .map((at) => ({ ohms: number(`ohms${at}`), volts: number(`volts${at}`) }))
    .filter((reading) => reading.ohms > 0 && reading.volts > 0);
  return {
    tones: [...ohms('sounding', true), ...ohms('silent', false)],
    diode: { readings, countsTo: number('countsTo') || usualCountsToV },
    capacitor: farads > 0 && number('toneMs') > 0 ? { farads, toneMs: number('toneMs') } : null,
  };
}

/** Most meters show diode volts up to there. */
const usualCountsToV = 2;
