/** A meter's card as its sheet says it: what each mode drives the probes with, and what it takes for a tone. */
import type { Meter, MeterSource } from '@junctor/core';
import { meterWords } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormProblem, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../ui/form';
import { Beside, Stack, Words } from '../../ui/layout';
import { useKeepMeter } from './useKeepMeter';

type Card = Omit<Meter, 'id' | 'name'>;

const modes = [
  { name: 'tone', title: 'Tone', counts: null },
  { name: 'diode', title: 'Diode', counts: 'V' },
  { name: 'ohms', title: 'Ohms', counts: 'Ω' },
] as const;

/** What sheets leave out: how far the threshold and the source are from what they say. */
const usualSpread = 0.2;

/** Which field a mistake is said at, by what the server calls the place. */
const fieldOf: Readonly<Record<string, string>> = {
  name: 'name',
  'card.limitV': 'tone V',
  'card.limitA': 'tone A',
  'card.seriesOhms': 'tone behind',
  'card.beepBelowOhms': 'below',
  'card.stopsAboveOhms': 'above',
  'card.answerMs': 'answer',
  'card.shortestToneMs': 'shortest',
  ...Object.fromEntries(
    (['diode', 'ohms'] as const).flatMap((mode) => [
      [`card.modes.${mode}.limitV`, `${mode} V`],
      [`card.modes.${mode}.limitA`, `${mode} A`],
      [`card.modes.${mode}.seriesOhms`, `${mode} behind`],
      [`card.modes.${mode}.countsTo`, `${mode} counts`],
    ]),
  ),
};

export function EnterMeter({ onKept }: { onKept: () => void }) {
  const { keep, send } = useKeepMeter(onKept);
  const [said, setSaid] = useState<string | null>(null);
  const errors = fieldErrors(keep.error);
  const errorOf = (field: string) =>
    Object.entries(fieldOf)
      .filter(([, own]) => own === field)
      .map(([path]) => errors.of(path))
      .find(Boolean) ?? null;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    send(String(form.get('name') ?? '').trim(), cardIn(form));
  };
  return (
    <Stack
      onSubmit={submit}
      onInput={(event) => setSaid(wordsOf(cardIn(new FormData(event.currentTarget))))}
      noValidate
      aria-label="A new meter, from its sheet"
    >
      <WordsField name="name" label="What it is called here" error={errorOf('name')} />
      {modes.map(({ name, title, counts }) => (
        <Beside key={name}>
          <NumberTextField name={`${name} V`} label={`${title}: open probes, V`} error={errorOf(`${name} V`)} />
          <NumberTextField name={`${name} A`} label={`${title}: shorted, mA`} error={errorOf(`${name} A`)} />
          <NumberTextField name={`${name} behind`} label={`${title}: behind, Ω`} error={errorOf(`${name} behind`)} />
          {counts && (
            <NumberTextField
              name={`${name} counts`}
              label={`${title}: counts up to, ${counts}`}
              error={errorOf(`${name} counts`)}
            />
          )}
        </Beside>
      ))}
      <Beside>
        <NumberTextField name="below" label="Sounds below, Ω" error={errorOf('below')} />
        <NumberTextField name="above" label="Stops above, Ω" error={errorOf('above')} />
        <NumberTextField name="answer" label="Answers after, ms" error={errorOf('answer')} />
        <NumberTextField name="shortest" label="Shortest tone, ms" error={errorOf('shortest')} />
      </Beside>
      <Words role="status">
        {said ??
          'As its sheet says it. Nothing behind: it holds its current. A mode without volts is driven as the tone is.'}
      </Words>
      <FormProblem message={errors.rest(Object.keys(fieldOf))} />
      <SubmitButton>Keep its card</SubmitButton>
    </Stack>
  );
}

function cardIn(form: FormData): Card {
  const number = (name: string) => typedNumber(form.get(name));
  const source = (mode: string): MeterSource => ({
    limitV: number(`${mode} V`),
    limitA: number(`${mode} A`) / 1000,
    seriesOhms: number(`${mode} behind`) || null,
    ...(number(`${mode} counts`) > 0 ? { countsTo: number(`${mode} counts`) } : {}),
  });
  const named = (['ohms', 'diode'] as const).filter((mode) => String(form.get(`${mode} V`) ?? '').trim() !== '');
  return {
    ...source('tone'),
    beepBelowOhms: number('below'),
    stopsAboveOhms: number('above'),
    answerMs: number('answer'),
    shortestToneMs: number('shortest'),
    beepsOnReverse: true,
    toneHz: null,
    spread: usualSpread,
    modes: Object.fromEntries(named.map((mode) => [mode, source(mode)])),
  };
}

/** Null while too little of it is known to say anything. */
function wordsOf(card: Card): string | null {
  const isKnown = [card.limitV, card.limitA, card.beepBelowOhms].every((value) => value > 0);
  return isKnown ? `So it ${meterWords(card)}.` : null;
}
