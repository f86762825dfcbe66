/** The numbers of a model, a line a thing; a lead measures one anew, and a new revision says so. */
import type { PartModel } from '@junctor/core';
import { numberWords } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { ChoiceField, FormProblem, NumberTextField, SubmitButton, typedNumber } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { importModels } from '../../files/importFile';
import type { KnownNumber } from './numbersOf';
import { numbersOf, withNumber } from './numbersOf';
import { Buttons, Stack } from '../../ui/layout';

const sureWords = {
  measured: 'measured',
  sheet: 'from its sheet',
  typical: 'typical of its kind',
  assumed: 'assumed',
} as const;
const choices = (['measured', 'sheet', 'typical', 'assumed'] as const).map((value) => ({
  value,
  label: sureWords[value],
}));

export function NumbersTable({
  model,
  editable,
  onStored,
}: {
  model: PartModel;
  editable: boolean;
  onStored: () => void;
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const numbers = numbersOf(model);
  if (numbers.length === 0) return <p>No number is kept of it.</p>;
  if (chosen)
    return (
      <Change
        model={model}
        numbers={numbers.filter(({ what }) => what === chosen)}
        onDone={() => setChosen(null)}
        onStored={onStored}
      />
    );
  return (
    <Lines $columns="110px 1fr 92px" aria-label="Numbers">
      {[...new Set(numbers.map(({ what }) => what))].map((what) => {
        const own = numbers.filter((known) => known.what === what);
        return (
          <li key={what}>
            <strong>{what}</strong>
            <span>
              {own.map(({ value, unit }) => `${numberWords(value)} ${unit}`).join(', ')}{' '}
              <span className="quiet">{sureOf(own)}</span>
            </span>
            {editable ? (
              <Small type="button" onClick={() => setChosen(what)} aria-label={`Correct ${what}`}>
                Correct
              </Small>
            ) : (
              <span />
            )}
          </li>
        );
      })}
    </Lines>
  );
}

/** "typical of its kind; A at most measured": the common word, then what differs. */
function sureOf(numbers: readonly KnownNumber[]): string {
  const common = numbers.at(-1)!.sure;
  const odd = numbers.filter(({ sure }) => sure !== common).map(({ unit, sure }) => `${unit} ${sureWords[sure]}`);
  return [sureWords[common], ...odd].join('; ');
}

function Change({
  model,
  numbers,
  onDone,
  onStored,
}: {
  model: PartModel;
  numbers: readonly KnownNumber[];
  onDone: () => void;
  onStored: () => void;
}) {
  const [pointer, setPointer] = useState(numbers[0]!.pointer);
  const [problem, setProblem] = useState<string | null>(null);
  const number = numbers.find((known) => known.pointer === pointer)!;
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const typed = String(data.get('value')).trim();
    const value = typedNumber(typed);
    if (typed === '' || !Number.isFinite(value)) return setProblem('A number is wanted');
    const result = await importModels([withNumber(model, pointer, value, data.get('sure') as KnownNumber['sure'])]);
    if (!result.ok) return setProblem([result.message, ...result.faults.map(({ message }) => message)].join(' '));
    onStored();
    onDone();
  };
  return (
    <Stack onSubmit={(event) => void submit(event)} noValidate>
      <p>A new value makes revision {model.revision + 1}; jobs keep the revision that they were planned with.</p>
      {numbers.length > 1 && (
        <ChoiceField
          name="which"
          label={`Which number of ${number.what}`}
          options={numbers.map(({ pointer: at, value, unit }) => ({
            value: at,
            label: `${numberWords(value)} ${unit}`,
          }))}
          onChange={setPointer}
        />
      )}
      <NumberTextField
        key={pointer}
        name="value"
        label={`${number.what}, ${number.unit}`}
        defaultValue={String(number.value)}
        autoFocus
      />
      <ChoiceField name="sure" label="Known from" options={choices} />
      <FormProblem message={problem} />
      <Buttons>
        <SubmitButton>Make revision {model.revision + 1}</SubmitButton>
        <Small type="button" onClick={onDone}>
          Leave it
        </Small>
      </Buttons>
    </Stack>
  );
}
