/** The shop's weight classes, as a lead says them: by the law of the place, which Junctor does not know. */
import type { WeightClass } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { keys } from '../../api/keys';
import { useSend, useWeightClasses } from '../../api/queries';
import { useSession } from '../../api/session';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';
import { Beside, Words } from '../../ui/layout';
import { Notice } from '../../ui/Notice';

/** Beyond those that there are. */
const emptyRows = 2;

export function WeightClassesPage() {
  const said = useWeightClasses();
  if (!said.data) return <Notice title="Fetching the weight classes">{said.error?.message ?? 'One moment.'}</Notice>;
  return <Classes key={said.data.version} {...said.data} />;
}

function Classes({ version, classes }: { version: number; classes: readonly WeightClass[] }) {
  const person = useSession().data;
  const send = useSend<{ version: number; classes: readonly WeightClass[] }>(
    () => '/shop/weight-classes',
    [keys.weightClasses],
  );
  const [problem, setProblem] = useState<string | null>(null);
  const isLead = person?.role === 'lead';
  const rows = [...classes, ...Array.from({ length: emptyRows }, () => null)];
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    const typed = rows.flatMap((_, index) =>
      text(`${index}.name`) || text(`${index}.upToG`)
        ? [{ name: text(`${index}.name`), upToG: typedNumber(text(`${index}.upToG`)) }]
        : [],
    );
    const odd = typed.find(({ name, upToG }) => !name || !(upToG > 0));
    setProblem(odd ? `${odd.name || 'A class'}: a name, and grams above 0` : null);
    if (!odd) send.mutate({ version, classes: typed });
  };
  return (
    <FormPage title="Weight classes" head={<Head title="the shop’s weight classes" />} onSubmit={submit}>
      <Words>
        {`By the law of the place, which Junctor does not know: ${isLead ? 'an empty row is no class.' : 'a lead changes them.'}`}
      </Words>
      {rows.map((row, index) => (
        <Beside key={index} $columns={2}>
          <WordsField
            name={`${index}.name`}
            label={`Class ${index + 1}`}
            defaultValue={row?.name ?? ''}
            autoFocus={index === 0}
          />
          <NumberTextField
            name={`${index}.upToG`}
            label={`Class ${index + 1}, up to, g`}
            defaultValue={row ? String(row.upToG) : ''}
          />
        </Beside>
      ))}
      <FormProblem message={problem ?? fieldErrors(send.error).rest([])} />
      {isLead && <SubmitButton>Keep them</SubmitButton>}
      {send.isSuccess && <Words role="status">Kept.</Words>}
    </FormPage>
  );
}
