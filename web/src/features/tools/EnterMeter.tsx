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

/** Fields bear the names that the server gives their places, so that a mistake is said at its field. */
const modes = [
  { at: 'card', title: 'Tone', counts: null },
  { at: 'card.modes.diode', title: 'Diode', counts: 'V' },
  { at: 'card.modes.ohms', title: 'Ohms', counts: 'Ω' },
] as const;

const tones = [
  { name: 'card.beepBelowOhms', label: 'Sounds below, Ω' },
  { name: 'card.stopsAboveOhms', label: 'Stops above, Ω' },
  { name: 'card.answerMs', label: 'Answers after, ms' },
  { name: 'card.shortestToneMs', label: 'Shortest tone, ms' },
] as const;

/** What drives the probes in a mode. */
function sourceFields({ at, title, counts }: (typeof modes)[number]) {
  return [
    { name: `${at}.limitV`, label: `${title}: open probes, V` },
    { name: `${at}.limitA`, label: `${title}: shorted, mA` },
    { name: `${at}.seriesOhms`, label: `${title}: behind, Ω` },
    ...(counts ? [{ name: `${at}.countsTo`, label: `${title}: counts up to, ${counts}` }] : []),
  ];
}

const rows = [...modes.map(sourceFields), tones];
const shown = ['name', ...rows.flatMap((row) => row.map(({ name }) => name))];

/** What sheets leave out: how far the threshold and the source are from what they say. */
const usualSpread = 0.2;

export function EnterMeter({ onKept }: { onKept: () => void }) {
  const { keep, send } = useKeepMeter(onKept);
  const [said, setSaid] = useState<string | null>(null);
  const errors = fieldErrors(keep.error);
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
      <WordsField name="name" label="What it is called here" error={errors.of('name')} />
      {rows.map((row) => (
        <Beside key={row[0]!.name}>
          {row.map((field) => (
            <NumberTextField key={field.name} {...field} error={errors.of(field.name)} />
          ))}
        </Beside>
      ))}
      <Words role="status">
        {said ??
          'As its sheet says it. Nothing behind: it holds its current. A mode without volts is driven as the tone is.'}
      </Words>
      <FormProblem message={errors.rest(shown)} />
      <SubmitButton>Keep its card</SubmitButton>
    </Stack>
  );
}

function cardIn(form: FormData): Card {
  const number = (name: string) => typedNumber(form.get(name));
  const source = (at: string): MeterSource => ({
    limitV: number(`${at}.limitV`),
    limitA: number(`${at}.limitA`) / 1000,
    seriesOhms: number(`${at}.seriesOhms`) || null,
    ...(number(`${at}.countsTo`) > 0 ? { countsTo: number(`${at}.countsTo`) } : {}),
  });
  const named = (['ohms', 'diode'] as const).filter(
    (mode) => String(form.get(`card.modes.${mode}.limitV`) ?? '').trim() !== '',
  );
  return {
    ...source('card'),
    beepBelowOhms: number('card.beepBelowOhms'),
    stopsAboveOhms: number('card.stopsAboveOhms'),
    answerMs: number('card.answerMs'),
    shortestToneMs: number('card.shortestToneMs'),
    beepsOnReverse: true,
    toneHz: null,
    spread: usualSpread,
    modes: Object.fromEntries(named.map((mode) => [mode, source(`card.modes.${mode}`)])),
  };
}

/** Null while too little of it is known to say anything. */
function wordsOf(card: Card): string | null {
  const isKnown = [card.limitV, card.limitA, card.beepBelowOhms].every((value) => value > 0);
  return isKnown ? `So it ${meterWords(card)}.` : null;
}
