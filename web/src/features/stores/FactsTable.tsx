/** What is known of a model, a line a thing; a lead says one anew, and a new revision has it. */
import type { PartModel } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { ChoiceField, FormProblem, NumberTextField, SubmitButton, WordsField } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { importModels } from '../../files/importFile';
import type { SheetFact } from './sheetFacts';
import { factWords, readFact, sheetFacts, withFact } from './sheetFacts';
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

export function FactsTable({
  model,
  editable,
  onStored,
}: {
  model: PartModel;
  editable: boolean;
  onStored: () => void;
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const facts = sheetFacts(model);
  if (chosen)
    return (
      <Change
        model={model}
        facts={facts.filter(({ what }) => what === chosen)}
        onDone={() => setChosen(null)}
        onStored={onStored}
      />
    );
  return (
    <Lines $columns="110px 1fr 92px" aria-label="Numbers">
      {[...new Set(facts.map(({ what }) => what))].map((what) => {
        const own = facts.filter((fact) => fact.what === what);
        return (
          <li key={what}>
            <strong>{what}</strong>
            <span>
              {own.filter(isKnown).map(factWords).join(', ')} <span className="quiet">{sureOf(own)}</span>
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

function isKnown({ value }: SheetFact): boolean {
  return value !== null;
}

/** "typical of its kind; A at most measured; not known: tolerance": the common word, what differs, what is open. */
function sureOf(facts: readonly SheetFact[]): string {
  const known = facts.filter(isKnown);
  const common = known.at(-1)?.sure;
  const odd = known.filter(({ sure }) => sure !== common).map(({ unit, sure }) => `${unit} ${sureWords[sure]}`);
  const open = facts.filter((fact) => !isKnown(fact)).map(factWords);
  return [
    ...(common ? [sureWords[common]] : []),
    ...odd,
    ...(open.length > 0 ? [`not known: ${open.join(', ')}`] : []),
  ].join('; ');
}

function Change({
  model,
  facts,
  onDone,
  onStored,
}: {
  model: PartModel;
  facts: readonly SheetFact[];
  onDone: () => void;
  onStored: () => void;
}) {
  const [pointer, setPointer] = useState(facts[0]!.pointer);
  const [problem, setProblem] = useState<string | null>(null);
  const fact = facts.find((known) => known.pointer === pointer)!;
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const value = readFact(fact, String(data.get('value') ?? ''));
    if (value === undefined)
      return setProblem(fact.entered === 'range' ? 'Two numbers are wanted: 5650 to 5950' : 'A number is wanted');
    const result = await importModels([withFact(model, pointer, value, data.get('sure') as SheetFact['sure'])]);
    if (!result.ok) return setProblem([result.message, ...result.faults.map(({ message }) => message)].join(' '));
    onStored();
    onDone();
  };
  return (
    <Stack onSubmit={(event) => void submit(event)} noValidate>
      <p>A new value makes revision {model.revision + 1}; jobs keep the revision that they were planned with.</p>
      {facts.length > 1 && (
        <ChoiceField
          name="which"
          label={`What of ${fact.what}`}
          options={facts.map((one) => ({ value: one.pointer, label: factWords(one) }))}
          onChange={setPointer}
        />
      )}
      <ValueField key={pointer} fact={fact} />
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

function valueWords({ value, entered }: SheetFact): string {
  if (Array.isArray(value)) return value.join(' to ');
  return String(typeof value === 'number' && entered === 'percent' ? value * 100 : (value ?? ''));
}

const notKnown = { value: '', label: 'not known' };

function ValueField({ fact }: { fact: SheetFact }) {
  const { what, unit, entered, open } = fact;
  const label = open ? `${what}, ${open}${unit ? `, ${unit}` : ''} (empty: not known)` : `${what}, ${unit}`;
  const now = valueWords(fact);
  if (typeof entered === 'object')
    return (
      <ChoiceField
        name="value"
        label={`${what}, ${open}`}
        options={[notKnown, ...entered].sort((a, b) => Number(b.value === now) - Number(a.value === now))}
      />
    );
  if (entered === 'range') return <WordsField name="value" label={label} defaultValue={now} autoFocus />;
  return <NumberTextField name="value" label={label} defaultValue={now} autoFocus />;
}
