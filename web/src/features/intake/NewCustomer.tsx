/** A customer whom the shop does not know yet. */
import type { FormEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { places } from '../../addresses';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useSend } from '../../api/queries';
import type { Customer } from '../../api/types';
import { AnswerKeys } from '../../ui/AnswerKeys';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';

export function NewCustomer() {
  const navigate = useNavigate();
  const name = useSearchParams()[0].get('name') ?? '';
  const send = useSend<Customer, Customer>(() => '/customers', [keys.customers()]);
  const errors = fieldErrors(send.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (field: string) => String(data.get(field) ?? '').trim();
    send.mutate(
      { id: newId(), name: text('name'), contact: text('contact') },
      { onSuccess: ({ id }) => void navigate(places.newJobFor(id), { replace: true }) },
    );
  };
  return (
    <FormPage title="A new customer" head={<Head title="new job" />} onSubmit={submit}>
      <WordsField name="name" label="Name" defaultValue={name} autoFocus error={errors.of('name')} />
      <WordsField name="contact" label="How to reach them" error={errors.of('contact')} />
      <FormProblem message={errors.rest(['name', 'contact'])} />
      <SubmitButton>Take as new customer</SubmitButton>
      <AnswerKeys answers={[{ key: 'Escape', act: () => void navigate(-1) }]} />
    </FormPage>
  );
}
