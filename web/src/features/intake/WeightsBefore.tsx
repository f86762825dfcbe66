/**
 * What the quad weighed when it came in: dry, with its pack, with propellers. Pack and propellers follow by difference.
 */
import type { FormEvent } from 'react';
import { FormProblem, NumberTextField, typedNumber } from '../../ui/form';
import { Beside } from '../../ui/layout';
import { Lines } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { useState } from 'react';
import type { Bench } from '../../bench/provider/bench';

const asked = [
  { what: 'dry', label: 'Dry, g' },
  { what: 'with pack', label: 'With pack, g' },
  { what: 'with propellers', label: 'With propellers too, g' },
] as const;

export function WeightsBefore({ bench, weighed }: { bench: Bench; weighed: Readonly<Record<string, number>> }) {
  const [problem, setProblem] = useState<string | null>(null);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const given = asked.flatMap(({ what }) => {
      const text = String(data.get(what)).trim();
      return text === '' ? [] : [{ what, grams: typedNumber(text) }];
    });
    if (given.some(({ grams }) => !(grams > 0))) return setProblem('Weights are numbers above 0');
    if (given.length === 0) return setProblem('Type at least one weight');
    bench.record(
      given.map(({ what, grams }) => ({ saw: 'weight', what, grams })),
      null,
    );
  };
  const [dry, pack, props] = asked.map(({ what }) => weighed[what]);
  return (
    <>
      <h2>Weighed when it came in</h2>
      {dry !== undefined ? (
        <Lines aria-label="Weighed">
          <li>
            <span>
              dry {dry} g{pack !== undefined ? `, with pack ${pack} g: the pack has ${(pack - dry).toFixed(0)} g` : ''}
              {props !== undefined && pack !== undefined ? `; propellers ${(props - pack).toFixed(0)} g` : ''}
            </span>
          </li>
        </Lines>
      ) : (
        <Beside as="form" $columns={3} onSubmit={submit} noValidate>
          {asked.map(({ what, label }) => (
            <NumberTextField key={what} name={what} label={label} />
          ))}
          <Small type="submit">Keep weights</Small>
          <FormProblem message={problem} />
        </Beside>
      )}
    </>
  );
}
