/**
 * What is agreed with the customer and no wire tells: what happens when the link is lost, the guard on arming, settings
 * to their taste.
 */
import type { PlanChange } from '@junctor/core';
import { lawSchools, localLawOf } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import { ChoiceField, NumberTextField, typedNumber, WordsField } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import type { Bench } from '../../bench/provider/bench';
import { usePlanEdits } from '../../bench/provider/usePlanEdits';
import { Alarm } from '../../ui/layout';

const Part = styled.section`
  && {
    padding: 0;
  }
  display: grid;
  gap: 12px;
  @media print {
    display: none;
  }
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: 12px;
    align-items: end;
    padding: 8px 0;
  }
`;
const taste = 'taste ';
const linkLost = [
  { value: '', label: 'not agreed' },
  { value: 'return home', label: 'return home' },
  { value: 'land', label: 'land' },
  { value: 'drop', label: 'drop' },
];

export function Agreed({ bench }: { bench: Bench }) {
  const { schools } = bench.job.plan;
  const edits = usePlanEdits(bench);
  const [missing, setMissing] = useState(false);
  const tell = (key: string, after: string | null, then?: () => void) => {
    const before = schools[key] ?? null;
    const change: PlanChange = { path: `schools/${key}`, before, after };
    if (before !== after) edits.make([change], then);
  };
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const data = new FormData(form);
    const [name, value] = ['setting', 'value'].map((field) => String(data.get(field) ?? '').trim()) as [string, string];
    setMissing(!name || !value);
    if (name && value) tell(`${taste}${name}`, value, () => form.reset());
  };
  const law = localLawOf(schools);
  const answerLaw = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (field: string) => String(data.get(field) ?? '').trim() || null;
    const transmit = text('transmit');
    const answers = [
      [lawSchools.region, text('region')],
      [lawSchools.transmitMw, transmit === null ? null : String(typedNumber(transmit))],
    ] as const;
    const changes = answers.flatMap(([key, after]): PlanChange[] => {
      const before = schools[key] ?? null;
      return before === after ? [] : [{ path: `schools/${key}`, before, after }];
    });
    if (changes.length > 0) edits.make(changes);
  };
  const own = Object.entries(schools).filter(([key]) => key.startsWith(taste));
  return (
    <Part>
      <h2>Agreed with the customer</h2>
      <ChoiceField
        name="lost"
        label="When the link is lost"
        value={schools['loss of signal'] ?? ''}
        options={linkLost}
        onChange={(value) => tell('loss of signal', value || null)}
      />
      <ChoiceField
        name="guard"
        label="Guard on arming"
        value={schools['arm guard'] ?? 'on'}
        options={[
          { value: 'on', label: 'two movements' },
          { value: 'off', label: 'one movement' },
        ]}
        onChange={(value) => tell('arm guard', value)}
      />
      <form key={Object.values(law).join()} onSubmit={answerLaw} aria-label="The local law">
        <WordsField name="region" label="Region of the law here" defaultValue={law.region ?? ''} />
        <NumberTextField name="transmit" label="May transmit at most, mW" defaultValue={law.transmitMw ?? ''} />
        <Small type="submit">Keep the law</Small>
      </form>
      <form onSubmit={add}>
        <WordsField
          name="setting"
          label="Setting to their taste"
          error={missing ? 'Name a setting and its value' : null}
        />
        <WordsField name="value" label="Value" />
        <Small type="submit">Keep it</Small>
      </form>
      <Lines $columns="1fr 1fr auto" aria-label="To their taste">
        {own.map(([key, value]) => (
          <li key={key}>
            <span>{key.slice(taste.length)}</span>
            <strong>{value}</strong>
            <Small type="button" onClick={() => tell(key, null)}>
              Not any more
            </Small>
          </li>
        ))}
      </Lines>
      {edits.failed && <Alarm>Not changed: {edits.failed}</Alarm>}
    </Part>
  );
}
