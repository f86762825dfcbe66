/** A new password: one's own by the old one, or another's, set by a lead when it was forgotten. */
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { places } from '../../addresses';
import { useSession } from '../../api/session';
import { usePeople, useSend } from '../../api/queries';
import { AnswerRow } from '../../ui/Answers';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';
import { Words } from '../../ui/layout';

export function PasswordPage() {
  const { personId } = useParams();
  const go = useNavigate();
  const me = useSession().data;
  const name = usePeople().data?.find(({ id }) => id === personId)?.name;
  const own = personId === me?.personId;
  const [unlike, setUnlike] = useState(false);
  const set = useSend<{ old?: string; password: string }, null>(
    () => (own ? '/session/password' : `/people/${personId}/password`),
    [],
  );
  const errors = fieldErrors(set.error);
  const back = () => void go(own ? places.floor : places.people);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const [password, again] = [String(data.get('password') ?? ''), String(data.get('again') ?? '')];
    setUnlike(password !== again);
    if (password !== again) return;
    set.mutate({ ...(own ? { old: String(data.get('old') ?? '') } : {}), password }, { onSuccess: back });
  };
  return (
    <FormPage
      title={own ? 'Your new password' : `A new password for ${name ?? '…'}`}
      head={<Head title="password" />}
      onSubmit={submit}
    >
      {own && (
        <WordsField
          name="old"
          label="The one you sign in with now"
          type="password"
          autoComplete="current-password"
          autoFocus
          error={errors.of('old')}
        />
      )}
      <WordsField
        name="password"
        label="The new one, eight characters or more"
        type="password"
        autoComplete="new-password"
        autoFocus={!own}
        error={errors.of('password')}
      />
      <WordsField
        name="again"
        label="The new one once more"
        type="password"
        autoComplete="new-password"
        error={unlike ? 'The two are not the same' : null}
      />
      {own && <Words>Other tablets on which you are signed in ask for it at once.</Words>}
      <FormProblem message={errors.rest(['old', 'password'])} />
      <SubmitButton>{own ? 'Change it' : 'Set it, and sign them out everywhere'}</SubmitButton>
      <AnswerRow answers={[{ key: 'Escape', label: 'Close', hidden: true, act: back }]} />
    </FormPage>
  );
}
