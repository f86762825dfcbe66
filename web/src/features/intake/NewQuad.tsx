/** A quad of the customer's that the shop has not had before. */
import type { FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { places } from '../../addresses';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useCustomer, useSend } from '../../api/queries';
import { AnswerKeys } from '../../ui/AnswerKeys';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';

export function NewQuad() {
  const navigate = useNavigate();
  const { customerId = '' } = useParams();
  const customer = useCustomer(customerId).data;
  const send = useSend<{ id: string; customerId: string; name: string }, { id: string }>(
    () => '/quads',
    [keys.quads()],
  );
  const errors = fieldErrors(send.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name')).trim();
    send.mutate(
      { id: newId(), customerId, name },
      { onSuccess: ({ id }) => void navigate(places.newJobOn(customerId, id), { replace: true }) },
    );
  };
  return (
    <FormPage
      title={`A new quad of ${customer?.name ?? 'theirs'}`}
      head={<Head title={`new job, ${customer?.name ?? ''}`} />}
      onSubmit={submit}
    >
      <WordsField name="name" label="What it is called" autoFocus error={errors.of('name')} />
      <FormProblem message={errors.rest(['name'])} />
      <SubmitButton>Take as new quad</SubmitButton>
      <AnswerKeys answers={[{ key: 'Escape', act: () => void navigate(-1) }]} />
    </FormPage>
  );
}
