/** A first measurement of the loose part: fills in what was assumed, or contradicts what was entered. */
import type { Measured, Meter, PartModel } from '@junctor/core';
import { applySignature, firstMeasures, measuredWords } from '@junctor/core';
import { useMemo, useState } from 'react';
import type { FormEvent } from 'react';
import { ChoiceField, Fields, FormProblem, NumberTextField, SubmitButton, typedNumber } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { KeyButton } from '../../ui/KeyButton';
import { Buttons, Words } from '../../ui/layout';

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
  const { contradicts } = useMemo(() => applySignature(model, measured, meter), [model, measured, meter]);
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
        {measured.map((known) => (
          <li key={measuredWords(known)}>
            <span>● {measuredWords(known)}</span>
          </li>
        ))}
        {contradicts.map((line) => (
          <li key={line}>
            <strong>▲ {line}</strong>
          </li>
        ))}
      </Lines>
      <Fields key={measured.length} onSubmit={submit} noValidate>
        {now ? (
          <Words $large data-testid="question">
            {now.asks}, part loose and unpowered.{' '}
            <small>
              {measured.length + 1} of {asked.length}
            </small>
          </Words>
        ) : (
          <Words $large>Everything that is asked first has been measured.</Words>
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
        <Buttons>
          <SubmitButton>{now ? 'Measured' : 'On'}</SubmitButton>
          {measured.length > 0 && (
            <KeyButton keyed="b" label="Last one again" act={() => onChange(measured.slice(0, -1))} />
          )}
          {now && <KeyButton keyed="l" label="Leave the rest assumed" act={onDone} />}
        </Buttons>
      </Fields>
    </>
  );
}
