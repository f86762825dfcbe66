/** People of the shop: a lead adds them, or takes them on again, and says when somebody has left. */
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { places } from '../../addresses';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { usePeople, useSend } from '../../api/queries';
import { Ask } from '../../ui/Ask';
import { fieldErrors } from '../../ui/fieldErrors';
import { ChoiceField, FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';
import { Small } from '../../ui/Small';
import { dayWords } from '../../ui/when';

const List = styled.ul`
  display: grid;
  gap: 6px;
  font-size: 19px;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: baseline;
  }
  li > span {
    min-width: 215px;
  }
`;

export function PeoplePage() {
  const go = useNavigate();
  const people = usePeople();
  const [added, setAdded] = useState(0);
  const [leaving, setLeaving] = useState<{ id: string; name: string } | null>(null);
  const add = useSend<{ id: string; name: string; role: string; password: string }>(() => '/people', [keys.people]);
  const leave = useSend<{ id: string }>(({ id }) => `/people/${id}/retire`, [keys.people]);
  const signOut = useSend<{ id: string }>(({ id }) => `/people/${id}/sign-out`, []);
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
      <List aria-label="People">
        {(people.data ?? []).map(({ id, name, role, leftAt }) => (
          <li key={id}>
            <span>
              <strong>{name}</strong>, {role}
              {leftAt ? `, left ${dayWords(leftAt)}` : ''}
            </span>
            {!leftAt && (
              <>
                <Small
                  type="button"
                  aria-label={`New password for ${name}`}
                  onClick={() => void go(places.password(id))}
                >
                  New password
                </Small>
                <Small type="button" aria-label={`Sign ${name} out everywhere`} onClick={() => signOut.mutate({ id })}>
                  Sign out
                </Small>
                <Small type="button" aria-label={`${name} leaves the shop…`} onClick={() => setLeaving({ id, name })}>
                  Leaves the shop…
                </Small>
              </>
            )}
          </li>
        ))}
      </List>
      {leaving && (
        <Ask
          title={`Does ${leaving.name} leave the shop?`}
          yes={`Yes, ${leaving.name} leaves`}
          no="No, back"
          onYes={() => leave.mutate({ id: leaving.id })}
          onClose={() => setLeaving(null)}
        >
          They can no longer sign in. What they have recorded stays theirs, also what a tablet still keeps.
        </Ask>
      )}
      <FormProblem message={leave.error?.message ?? signOut.error?.message ?? null} />
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
