/** People of the shop: a lead adds them and lets them go. */
import { useState } from 'react';
import type { FormEvent } from 'react';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { usePeople, useSend } from '../../api/queries';
import { fieldErrors } from '../../ui/fieldErrors';
import { ChoiceField, FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';

export function PeoplePage() {
  const people = usePeople();
  const [added, setAdded] = useState(0);
  const add = useSend<{ id: string; name: string; role: string; password: string }>(() => '/people', [keys.people]);
  const retire = useSend<{ id: string }>(({ id }) => `/people/${id}/retire`, [keys.people]);
  const errors = fieldErrors(add.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '');
    add.mutate(
      { id: newId(), name: text('name').trim(), role: text('role'), password: text('password') },
      { onSuccess: () => setAdded(added + 1) },
    );
  };
  return (
    <FormPage key={added} title="People of the shop" head={<Head title="people" />} onSubmit={submit}>
      <ul aria-label="People" style={{ display: 'grid', gap: 6, fontSize: 19 }}>
        {(people.data ?? []).map(({ id, name, role, leftAt }) => (
          <li key={id}>
            <strong>{name}</strong>, {role}
            {leftAt ? ', has left' : ''}{' '}
            {!leftAt && (
              <button type="button" onClick={() => retire.mutate({ id })}>
                has left the shop
              </button>
            )}
          </li>
        ))}
      </ul>
      <FormProblem message={retire.error?.message ?? null} />
      <WordsField name="name" label="Name" error={errors.of('name')} />
      <ChoiceField
        name="role"
        label="Role"
        options={[
          { value: 'technician', label: 'technician' },
          { value: 'lead', label: 'lead' },
        ]}
      />
      <WordsField
        name="password"
        label="First password, eight characters or more"
        type="password"
        autoComplete="new-password"
        error={errors.of('password')}
      />
      <FormProblem message={errors.rest(['name', 'password'])} />
      <SubmitButton>Add to the shop</SubmitButton>
    </FormPage>
  );
}
