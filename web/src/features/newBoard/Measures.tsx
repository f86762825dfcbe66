/** A first measurement of the loose part: fills in what was assumed, or contradicts what was entered. */
import type { Measured, Meter, PartModel } from '@junctor/core';
import { applySignature, firstMeasures } from '@junctor/core';
import { useMemo, useState } from 'react';
import type { FormEvent } from 'react';
import { ChoiceField, FormProblem, NumberTextField, SubmitButton, typedNumber } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { Fields } from './SizeForm';

interface MeasuresProps {
  model: PartModel;
  meter: Meter;
  measured: readonly Measured[];
  onChange: (measured: readonly Measured[]) => void;
  onDone: () => void;
}

export function Measures({ model, meter, measured, onChange, onDone }: MeasuresProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useMemo(() => firstMeasures(model), [model]);
  const now = asked[measured.length] ?? null;
  const { contradicts, filled } = useMemo(() => applySignature(model, measured, meter), [model, measured, meter]);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    if (!now) return onDone();
    const data = new FormData(event.currentTarget);
    if (now.is === 'tone')
      return onChange([
        ...measured,
        { is: 'tone', black: now.black, red: now.red, sounds: data.get('sounds') === 'yes' },
      ]);
    const typed = String(data.get('ohms')).trim();
    const ohms = typedNumber(typed) * (String(data.get('unit')) === 'kilo' ? 1000 : 1);
    if (typed === '' || !(ohms >= 0)) return setProblem('Ohms are a number; leave the rest out with the button');
    setProblem(null);
    onChange([...measured, { is: 'ohms', black: now.black, red: now.red, ohms }]);
  };
  return (
    <>
      <Lines aria-label="Measured">
        {filled.map((line) => (
          <li key={line}>
            <span>● {line}</span>
          </li>
        ))}
        {contradicts.map((line) => (
          <li key={line}>
            <strong>▲ {line}</strong>
          </li>
        ))}
      </Lines>
      <Fields key={measured.length} onSubmit={submit} noValidate style={{ paddingTop: 12 }}>
        {now ? (
          <p style={{ fontSize: 22 }} data-testid="question">
            {now.asks}, part loose and unpowered.{' '}
            <span style={{ fontSize: 18 }}>
              {measured.length + 1} of {asked.length}
            </span>
          </p>
        ) : (
          <p style={{ fontSize: 22 }}>Everything that is asked first has been measured.</p>
        )}
        {now?.is === 'ohms' && (
          <>
            <NumberTextField name="ohms" label="Ohms" autoFocus />
            <ChoiceField
              name="unit"
              label="In"
              options={[
                { value: 'plain', label: 'Ω' },
                { value: 'kilo', label: 'kΩ' },
              ]}
            />
          </>
        )}
        {now?.is === 'tone' && (
          <ChoiceField
            name="sounds"
            label="The meter"
            options={[
              { value: 'yes', label: 'sounds' },
              { value: 'no', label: 'is silent' },
            ]}
          />
        )}
        <FormProblem message={problem} />
        <div style={{ display: 'flex', gap: 12 }}>
          <SubmitButton>{now ? 'Measured' : 'On'}</SubmitButton>
          {now && (
            <Small type="button" onClick={onDone}>
              Leave the rest assumed
            </Small>
          )}
        </div>
      </Fields>
    </>
  );
}
